import { Controller, Get, Header, Param, ParseEnumPipe, Req, StreamableFile } from '@nestjs/common';
import type { Request } from 'express';
import { CARD_SIZES, type CardSize } from '@vendu/card/paper';
import type { PersonModel } from '../people/person.model.js';
import { IdPipe } from '../problem/id.pipe.js';
import { PhoneOrigin } from '../comparisons/phone-origin.js';
import { notFound } from '../problem/problem-error.js';
import { publicAddress } from '../public-page/public-address.js';
import { SignedIn, VisitorsToo } from '../session/access.js';
import { PaperService, type Paper } from './paper.service.js';

const SIZE_PIPE = new ParseEnumPipe(Object.fromEntries(CARD_SIZES.map((size) => [size, size])), {
  exceptionFactory: () => notFound('size of card'),
});

/** What is printed, as files. */
@Controller()
export class PaperController {
  constructor(
    private readonly service: PaperService,
    private readonly phones: PhoneOrigin,
  ) {}

  @Get('published/:slug/card-:size.pdf')
  @VisitorsToo()
  async card(
    @Param('slug') slug: string,
    @Param('size', SIZE_PIPE) size: CardSize,
    @Req() request: Request,
  ): Promise<StreamableFile> {
    return sent(await this.service.card(slug, size, publicAddress(slug, request)));
  }

  @Get('published/:slug/label.pdf')
  @VisitorsToo()
  async label(@Param('slug') slug: string, @Req() request: Request): Promise<StreamableFile> {
    return sent(await this.service.bagLabel(slug, publicAddress(slug, request)));
  }

  @Get('published/:slug/preview.png')
  @VisitorsToo()
  @Header('Cache-Control', 'public, max-age=86400')
  async preview(@Param('slug') slug: string): Promise<StreamableFile> {
    return new StreamableFile(await this.service.preview(slug), { type: 'image/png' });
  }

  @Get('recipe-versions/:versionId/bench-sheet.pdf')
  async benchSheet(@Param('versionId', IdPipe) id: number): Promise<StreamableFile> {
    return sent(await this.service.benchSheet(id));
  }

  @Get('brews/:brewId/cup-labels.pdf')
  async cupLabels(
    @Param('brewId', IdPipe) id: number,
    @SignedIn() person: PersonModel,
  ): Promise<StreamableFile> {
    return sent(await this.service.cupLabels(id, person));
  }

  @Get('blind-tests/:testId/labels.pdf')
  async blindLabels(@Param('testId', IdPipe) id: number, @Req() request: Request): Promise<StreamableFile> {
    return sent(await this.service.blindLabels(id, this.phones.originFor(request)));
  }

  @Get('lots/:lotId/dossier.pdf')
  async dossier(
    @Param('lotId', IdPipe) id: number,
    @SignedIn() person: PersonModel,
  ): Promise<StreamableFile> {
    return sent(await this.service.dossier(id, person));
  }
}

function sent({ name, file }: Paper): StreamableFile {
  return new StreamableFile(file, { type: 'application/pdf', disposition: `inline; filename="${name}.pdf"` });
}
