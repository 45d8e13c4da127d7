import { Body, Controller, Param, Post } from '@nestjs/common';
import { BrewsFileDto, type BrewsFileTaken } from '@vendu/contract';
import type { PersonModel } from '../people/person.model.js';
import { IdPipe } from '../problem/id.pipe.js';
import { SignedIn } from '../session/access.js';
import { RequestKey, type RequestKeyOf } from '../writing/request-key.js';
import { ImportBrewsService } from './import-brews.service.js';

@Controller('lots/:lotId/brews')
export class ImportBrewsController {
  constructor(private readonly service: ImportBrewsService) {}

  @Post('import')
  import(
    @Param('lotId', IdPipe) lotId: number,
    @Body() file: BrewsFileDto,
    @SignedIn() person: PersonModel,
    @RequestKey() request: RequestKeyOf | null,
  ): Promise<BrewsFileTaken> {
    return this.service.import(lotId, file, person, request);
  }
}
