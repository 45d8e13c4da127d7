import { Body, Controller, Get, Put } from '@nestjs/common';
import { CodeRuleDto, type CodeRuleView } from '@vendu/contract';
import type { PersonModel } from '../people/person.model.js';
import { LeadOrAdmin, SignedIn } from '../session/access.js';
import { CodeRuleService } from './code-rule.service.js';

@Controller('code-rule')
@LeadOrAdmin()
export class CodeRuleController {
  constructor(private readonly service: CodeRuleService) {}

  @Get()
  read(): Promise<CodeRuleView> {
    return this.service.read();
  }

  @Put()
  save(@Body() rule: CodeRuleDto, @SignedIn() { id }: PersonModel): Promise<CodeRuleView> {
    return this.service.save(rule, id);
  }
}
