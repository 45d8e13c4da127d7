import { Module } from '@nestjs/common';
import { Computation } from './computation.js';

@Module({ providers: [Computation], exports: [Computation] })
export class ComputationModule {}
