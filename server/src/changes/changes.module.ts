import { Module } from '@nestjs/common';
import { Writing } from '../writing/writing.js';
import { ChangesController } from './changes.controller.js';
import { ChangesService } from './changes.service.js';
import { refreshChanges } from './refresh-changes.js';

@Module({ controllers: [ChangesController], providers: [ChangesService], exports: [ChangesService] })
export class ChangesModule {
  constructor(writing: Writing) {
    writing.follow(refreshChanges);
  }
}
