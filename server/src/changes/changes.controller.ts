import { Controller, Get, Param } from '@nestjs/common';
import type { ChangeView, ScoresView } from '@vendu/contract';
import type { PersonModel } from '../people/person.model.js';
import { IdPipe } from '../problem/id.pipe.js';
import { SignedIn } from '../session/access.js';
import { ChangesService } from './changes.service.js';

@Controller()
export class ChangesController {
  constructor(private readonly service: ChangesService) {}

  @Get('lots/:lotId/changes')
  ofLot(@Param('lotId', IdPipe) id: number, @SignedIn() person: PersonModel): Promise<ChangeView[]> {
    return this.service.ofLot(id, person);
  }

  @Get('changes/scores')
  scores(): Promise<ScoresView> {
    return this.service.scores();
  }
}
