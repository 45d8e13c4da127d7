import { Body, Controller, Param, ParseEnumPipe, Put } from '@nestjs/common';
import { TASTING_STAGES, type TastingStage } from '@vendu/core';
import { BlindAnswerDto, TakePlaceDto, type PlaceView } from '@vendu/contract';
import { notFound } from '../problem/problem-error.js';
import { VisitorsToo } from '../session/access.js';
import { BlindPlacesService } from './blind-places.service.js';

const STAGE_PIPE = new ParseEnumPipe(Object.fromEntries(TASTING_STAGES.map((stage) => [stage, stage])), {
  exceptionFactory: () => notFound('stage'),
});

/** For tasters' phones: whoever has the address of a place is at it. */
@Controller('blind')
export class BlindPlacesController {
  constructor(private readonly service: BlindPlacesService) {}

  @Put(':secret/taken')
  @VisitorsToo()
  take(@Param('secret') secret: string, @Body() { device }: TakePlaceDto): Promise<PlaceView> {
    return this.service.take(secret, device);
  }

  @Put(':secret/answers/:stage')
  @VisitorsToo()
  answer(
    @Param('secret') secret: string,
    @Param('stage', STAGE_PIPE) stage: TastingStage,
    @Body() answer: BlindAnswerDto,
  ): Promise<PlaceView> {
    return this.service.answer(secret, stage, answer);
  }
}
