import { Module } from '@nestjs/common';
import { FilesModule } from '../files/files.module.js';
import { ExportController } from './export.controller.js';
import { ExportService } from './export.service.js';

@Module({ imports: [FilesModule], controllers: [ExportController], providers: [ExportService] })
export class ExportModule {}
