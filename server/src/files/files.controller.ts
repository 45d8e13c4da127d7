import { Controller, Get, Param, StreamableFile } from '@nestjs/common';
import { IdPipe } from '../problem/id.pipe.js';
import { FilesService, type FileOut } from './files.service.js';

/** What leaves the house as a file. */
@Controller()
export class FilesController {
  constructor(private readonly service: FilesService) {}

  /** One version of a recipe, as another house can read it in. */
  @Get('recipe-versions/:versionId/file')
  async recipe(@Param('versionId', IdPipe) id: number): Promise<StreamableFile> {
    return sent(await this.service.recipe(id));
  }

  /** The brews of a lot, a line each. */
  @Get('lots/:lotId/brews.csv')
  async brews(@Param('lotId', IdPipe) id: number): Promise<StreamableFile> {
    return sent(await this.service.brews(id));
  }
}

function sent({ name, type, text }: FileOut): StreamableFile {
  return new StreamableFile(Buffer.from(text, 'utf8'), {
    type: `${type}; charset=utf-8`,
    disposition: `attachment; filename="${name}"`,
  });
}
