import { Module } from '@nestjs/common';
import { LimitsModule } from '../limits/limits.module.js';
import { MailModule } from '../mail/mail.module.js';
import { AccountLetters } from './account-letters.js';

@Module({ imports: [LimitsModule, MailModule], providers: [AccountLetters], exports: [AccountLetters] })
export class AccountLettersModule {}
