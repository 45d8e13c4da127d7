import { Module } from '@nestjs/common';
import { LimitsModule } from '../limits/limits.module.js';
import { SecondFactorController } from './second-factor.controller.js';
import { SecondFactorService } from './second-factor.service.js';

@Module({
  imports: [LimitsModule],
  controllers: [SecondFactorController],
  providers: [SecondFactorService],
  exports: [SecondFactorService],
})
export class SecondFactorModule {}
