import { Module } from '@nestjs/common';
import { PublicationsModule } from '../publications/publications.module.js';
import { RunningBrewsModule } from '../running-brews/running-brews.module.js';
import { CareService } from './care.service.js';

@Module({ imports: [PublicationsModule, RunningBrewsModule], providers: [CareService] })
export class CareModule {}
