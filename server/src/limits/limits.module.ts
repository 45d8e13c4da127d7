import { Module } from '@nestjs/common';
import { Attempts } from './attempts.js';
import { KeptThrottle } from './kept-throttle.js';

@Module({ providers: [Attempts, KeptThrottle], exports: [Attempts, KeptThrottle] })
export class LimitsModule {}
