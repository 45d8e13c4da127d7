import { Body, Controller, Get, Param, ParseEnumPipe, Put } from '@nestjs/common';
import { TASTING_STAGES, type TastingStage } from '@vendu/core';
import { TastingDto, type CupOnTable, type CupView } from '@vendu/contract';
import { IdPipe } from '../problem/id.pipe.js';
import type { PersonModel } from '../people/person.model.js';
import { notFound } from '../problem/problem-error.js';
import { SignedIn, TastersToo } from '../session/access.js';
import { CupsService } from './cups.service.js';
import { TastingsService } from './tastings.service.js';

const STAGE_PIPE = new ParseEnumPipe(Object.fromEntries(TASTING_STAGES.map((stage) => [stage, stage])), {
  exceptionFactory: () => notFound('tasting stage'),
});

@TastersToo()
@Controller()
export class CupsController {
  constructor(
    private readonly cups: CupsService,
    private readonly tastings: TastingsService,
  ) {}

  /** The cups that stand on the table now. */
  @Get('cups')
  onTheTable(@SignedIn() person: PersonModel): Promise<CupOnTable[]> {
    return this.cups.onTheTable(person);
  }

  /** A cup as its taster may see it: sheets of others open once his own is sent. */
  @Get('cups/:brewId')
  read(@Param('brewId', IdPipe) id: number, @SignedIn() person: PersonModel): Promise<CupView> {
    return this.cups.read(id, person);
  }

  @Put('brews/:brewId/tastings/:stage')
  async putTasting(
    @Param('brewId', IdPipe) id: number,
    @Param('stage', STAGE_PIPE) stage: TastingStage,
    @Body() tasting: TastingDto,
    @SignedIn() person: PersonModel,
  ): Promise<CupView> {
    await this.tastings.put(id, stage, tasting, person);
    return this.cups.read(id, person);
  }

  /** Shows the sheets of the others to somebody who will not taste it himself. */
  @Put('brews/:brewId/look')
  async look(@Param('brewId', IdPipe) id: number, @SignedIn() person: PersonModel): Promise<CupView> {
    await this.tastings.look(id, person);
    return this.cups.read(id, person);
  }
}
