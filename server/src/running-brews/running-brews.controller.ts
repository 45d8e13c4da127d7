import { Body, Controller, Delete, Get, HttpCode, Param, Put, Query } from '@nestjs/common';
import type { Trace } from '@vendu/core';
import {
  BrewKeyParam,
  ClearRunningQueryDto,
  RunningBrewDto,
  type RunningBrewKept,
  type RunningBrewView,
} from '@vendu/contract';
import type { PersonModel } from '../people/person.model.js';
import { SignedIn } from '../session/access.js';
import { RunningBrewsService } from './running-brews.service.js';

@Controller('running-brews')
export class RunningBrewsController {
  constructor(private readonly service: RunningBrewsService) {}

  @Get()
  all(): Promise<RunningBrewView[]> {
    return this.service.all();
  }

  @Get(':key/trace')
  async trace(@Param() { key }: BrewKeyParam): Promise<{ trace: Trace | null }> {
    return { trace: await this.service.trace(key) };
  }

  @Put(':key')
  keep(
    @Param() { key }: BrewKeyParam,
    @Body() brew: RunningBrewDto,
    @SignedIn() person: PersonModel,
  ): Promise<RunningBrewKept> {
    return this.service.keep(key, brew, person);
  }

  @Delete(':key')
  @HttpCode(204)
  clear(@Param() { key }: BrewKeyParam, @Query() { device }: ClearRunningQueryDto): Promise<void> {
    return this.service.clear(key, device);
  }
}
