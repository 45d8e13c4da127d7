import { Module } from '@nestjs/common';
import { ScaleFeedsController } from './scale-feeds.controller.js';
import { ScaleFeedsService } from './scale-feeds.service.js';

@Module({ controllers: [ScaleFeedsController], providers: [ScaleFeedsService] })
export class ScaleFeedsModule {}
