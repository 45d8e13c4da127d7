import { Module } from '@nestjs/common';
import { TastersController } from './tasters.controller.js';
import { TastersService } from './tasters.service.js';

@Module({ controllers: [TastersController], providers: [TastersService], exports: [TastersService] })
export class TastersModule {}
