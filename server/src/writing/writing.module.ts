import { Global, Module } from '@nestjs/common';
import { Writing } from './writing.js';

@Global()
@Module({ providers: [Writing], exports: [Writing] })
export class WritingModule {}
