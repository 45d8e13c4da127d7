import { Controller, Get, Param, Req, Res } from '@nestjs/common';
import { format } from 'date-fns';
import type { Request, Response } from 'express';
import QRCode from 'qrcode';
import { renderCardPage, renderLotPage, renderRecalledPage, renderTroublePage } from '@vendu/card/page';
import { IdPipe } from '../problem/id.pipe.js';
import { notFound } from '../problem/problem-error.js';
import { VisitorsToo } from '../session/access.js';
import { pageAssets } from './page-assets.js';
import { publicAddress } from './public-address.js';
import { PublicPagesService, type RecalledCard } from './public-pages.service.js';

/** A visitor's browser asks again whether a card still holds, and is answered without its text where it does. */
const ASK_AGAIN = 'public, no-cache';
/** An address never changes, and so neither does its code. */
const KEEP = 'public, max-age=31536000, immutable';

/** The pages that customers brew from, made here so that they can be read without a script. */
@Controller('r')
export class PublicPageController {
  private readonly assets = pageAssets();

  constructor(private readonly pages: PublicPagesService) {}

  /** Before the cards: no card is called only "lot". */
  @Get('lot/:lotSlug')
  @VisitorsToo()
  async lot(
    @Param('lotSlug') lotSlug: string,
    @Req() request: Request,
    @Res() response: Response,
  ): Promise<void> {
    const found = await this.pages.lotPage(lotSlug);
    const [only, second] = found && 'editions' in found ? found.editions : [];
    if (found === null) this.sendNothing(publicAddress(`lot/${lotSlug}`, request), response);
    else if ('recalled' in found)
      this.sendRecalled(found.recalled, publicAddress(`lot/${lotSlug}`, request), response);
    else if (only && !second) response.set('Cache-Control', 'no-store').redirect(`/r/${only.slug}`);
    else {
      const address = publicAddress(`lot/${lotSlug}`, request);
      response.set('Cache-Control', ASK_AGAIN).type('html');
      response.send(renderLotPage(found, { address, assets: this.assets }));
    }
  }

  @Get(':slug')
  @VisitorsToo()
  page(@Param('slug') slug: string, @Req() request: Request, @Res() response: Response): Promise<void> {
    return this.answer(slug, undefined, request, response);
  }

  @Get(':slug/version/:number')
  @VisitorsToo()
  version(
    @Param('slug') slug: string,
    @Param('number', IdPipe) number: number,
    @Req() request: Request,
    @Res() response: Response,
  ): Promise<void> {
    return this.answer(slug, number, request, response);
  }

  @Get(':slug/qr.svg')
  @VisitorsToo()
  async qrSvg(
    @Param('slug') slug: string,
    @Req() request: Request,
    @Res() response: Response,
  ): Promise<void> {
    const address = await this.knownAddress(slug, request);
    response.set('Cache-Control', KEEP).type('image/svg+xml');
    response.send(await QRCode.toString(address, { type: 'svg', margin: 1, errorCorrectionLevel: 'M' }));
  }

  @Get(':slug/qr.png')
  @VisitorsToo()
  async qrPng(
    @Param('slug') slug: string,
    @Req() request: Request,
    @Res() response: Response,
  ): Promise<void> {
    const address = await this.knownAddress(slug, request);
    response.set('Cache-Control', KEEP).type('image/png');
    response.send(await QRCode.toBuffer(address, { margin: 2, width: 600, errorCorrectionLevel: 'M' }));
  }

  private async answer(
    slug: string,
    versionNumber: number | undefined,
    request: Request,
    response: Response,
  ): Promise<void> {
    const address = publicAddress(slug, request);
    const { assets } = this;
    response.set('Cache-Control', ASK_AGAIN).type('html');
    const found = await this.pages.page(slug, versionNumber);
    if (found === null) this.sendNothing(address, response);
    else if ('recalled' in found) this.sendRecalled(found.recalled, address, response);
    else {
      response.send(renderCardPage(found.view, { address, assets, qrSvgPath: `/r/${slug}/qr.svg` }));
    }
  }

  private sendNothing(address: string, response: Response): void {
    const words = 'No recipe was published under this address; look whether all of it was copied.';
    response
      .status(404)
      .set('Cache-Control', ASK_AGAIN)
      .type('html')
      .send(renderTroublePage({ title: 'No such recipe', words }, { address, assets: this.assets }));
  }

  private sendRecalled({ recalledAt, ...recalled }: RecalledCard, address: string, response: Response): void {
    const recalledOn = format(recalledAt, 'd MMMM yyyy');
    response
      .status(410)
      .set('Cache-Control', ASK_AGAIN)
      .type('html')
      .send(renderRecalledPage({ ...recalled, recalledOn }, { address, assets: this.assets }));
  }

  private async knownAddress(slug: string, request: Request): Promise<string> {
    if ((await this.pages.page(slug)) === null) throw notFound('published recipe');
    return publicAddress(slug, request);
  }
}
