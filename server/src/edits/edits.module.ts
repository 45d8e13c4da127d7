import { Module } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import { EditsController } from './edits.controller.js';
import { EditsService } from './edits.service.js';
import { keepEdits } from './keep-edits.js';

@Module({ controllers: [EditsController], providers: [EditsService] })
export class EditsModule {
  constructor(sequelize: Sequelize) {
    keepEdits(sequelize);
  }
}
