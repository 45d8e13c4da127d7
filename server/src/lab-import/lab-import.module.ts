import { Module } from '@nestjs/common';
import { LabImportController } from './lab-import.controller.js';
import { LabImportService } from './lab-import.service.js';

@Module({ controllers: [LabImportController], providers: [LabImportService] })
export class LabImportModule {}
