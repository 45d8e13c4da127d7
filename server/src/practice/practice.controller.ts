import { Body, Controller, Get, Param, Put } from '@nestjs/common';
import { BrewKeyParam, PracticeDto, type PracticeView } from '@vendu/contract';
import type { PersonModel } from '../people/person.model.js';
import { SignedIn } from '../session/access.js';
import { PracticeService } from './practice.service.js';

@Controller('practice')
export class PracticeController {
  constructor(private readonly service: PracticeService) {}

  @Get()
  latest(@SignedIn() person: PersonModel): Promise<PracticeView[]> {
    return this.service.latest(person);
  }

  @Put(':key')
  put(
    @Param() { key }: BrewKeyParam,
    @Body() run: PracticeDto,
    @SignedIn() person: PersonModel,
  ): Promise<PracticeView[]> {
    return this.service.put(key, run, person);
  }
}
