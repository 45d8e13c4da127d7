import { Controller, Get, Header, Param, Query, StreamableFile } from '@nestjs/common';
import { recipeFileSchema } from '@vendu/core';
import { LotsQueryDto } from '@vendu/contract';
import { IdPipe } from '../problem/id.pipe.js';
import { VisitorsToo } from '../session/access.js';
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

  /** What such a file looks like, for whoever writes or reads one. */
  @Get('recipe.schema.json')
  @VisitorsToo()
  @Header('Content-Type', 'application/schema+json')
  schema(): object {
    return recipeFileSchema();
  }

  /** The lots that fit a search, all of its pages. */
  @Get('lots.csv')
  async lots(@Query() query: LotsQueryDto): Promise<StreamableFile> {
    return sent(await this.service.lots(query));
  }

  /** The brews of a lot, a line each. */
  @Get('lots/:lotId/brews.csv')
  async brews(@Param('lotId', IdPipe) id: number): Promise<StreamableFile> {
    return sent(await this.service.brews(id));
  }

  /** Each reading of its scale. */
  @Get('brews/:brewId/trace.csv')
  async trace(@Param('brewId', IdPipe) id: number): Promise<StreamableFile> {
    return sent(await this.service.trace(id));
  }
}

function sent({ name, type, text }: FileOut): StreamableFile {
  return new StreamableFile(Buffer.from(text, 'utf8'), {
    type: `${type}; charset=utf-8`,
    disposition: `attachment; filename="${name}"`,
  });
}
