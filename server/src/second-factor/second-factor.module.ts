import { Module } from '@nestjs/common';
import { AccountLettersModule } from '../account-letters/account-letters.module.js';
import { LimitsModule } from '../limits/limits.module.js';
import { CodeRuleController } from './code-rule.controller.js';
import { CodeRuleService } from './code-rule.service.js';
import { SecondFactorController } from './second-factor.controller.js';
import { SecondFactorService } from './second-factor.service.js';

@Module({
  imports: [AccountLettersModule, LimitsModule],
  controllers: [SecondFactorController, CodeRuleController],
  providers: [SecondFactorService, CodeRuleService],
  exports: [SecondFactorService],
})
export class SecondFactorModule {}
