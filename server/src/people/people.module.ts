import { Module } from '@nestjs/common';
import { AccountLettersModule } from '../account-letters/account-letters.module.js';
import { MailModule } from '../mail/mail.module.js';
import { InvitationsService } from './invitations.service.js';
import { MembersService } from './members.service.js';
import { PeopleController } from './people.controller.js';
import { PeopleService } from './people.service.js';

@Module({
  imports: [AccountLettersModule, MailModule],
  controllers: [PeopleController],
  providers: [InvitationsService, MembersService, PeopleService],
  exports: [PeopleService],
})
export class PeopleModule {}
