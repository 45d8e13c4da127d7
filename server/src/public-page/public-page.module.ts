import { Module } from '@nestjs/common';
import { PublicPageController } from './public-page.controller.js';
import { PublicPagesService } from './public-pages.service.js';

@Module({ controllers: [PublicPageController], providers: [PublicPagesService] })
export class PublicPageModule {}
