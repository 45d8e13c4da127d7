import { Module } from '@nestjs/common';
import { OperationsModule } from '../operations/operations.module.js';
import { HealthController } from './health.controller.js';

@Module({ imports: [OperationsModule], controllers: [HealthController] })
export class HealthModule {}
