import { Module } from '@nestjs/common';
import { PublicationsModule } from '../publications/publications.module.js';
import { ProofCopyController } from './proof-copy.controller.js';
import { PublicPageController } from './public-page.controller.js';
import { PublicPagesService } from './public-pages.service.js';

@Module({
  imports: [PublicationsModule],
  controllers: [PublicPageController, ProofCopyController],
  providers: [PublicPagesService],
})
export class PublicPageModule {}
