import { Controller, Get, Header, Param, Req } from '@nestjs/common';
import type { Request } from 'express';
import { renderCardPage } from '@vendu/card/page';
import type { PublicPageView } from '@vendu/contract';
import { IdPipe } from '../problem/id.pipe.js';
import { PublicationsService } from '../publications/publications.service.js';
import { pageAssets } from './page-assets.js';

/** A card before it is public, for the second pair of hands: only for people of the lab. */
@Controller('recipe-versions')
export class ProofCopyController {
  private readonly assets = pageAssets();

  constructor(private readonly publications: PublicationsService) {}

  @Get(':versionId/card')
  @Header('Content-Type', 'text/html; charset=utf-8')
  @Header('Cache-Control', 'private, no-store')
  async page(@Param('versionId', IdPipe) id: number, @Req() request: Request): Promise<string> {
    const card = await this.publications.proofCopy(id);
    const address = `${request.protocol}://${request.get('host') ?? 'localhost'}${request.path}`;
    const view: PublicPageView = {
      card,
      standing: 'proof-copy',
      editions: [],
      lotSlug: null,
      versions: [],
    };
    return renderCardPage(view, { address, assets: this.assets, qrSvgPath: null });
  }
}
