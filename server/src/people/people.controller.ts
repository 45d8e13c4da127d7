import { Body, Controller, Delete, Get, HttpCode, Param, Post, Put, Req, UseGuards } from '@nestjs/common';
import { ThrottlerGuard } from '@nestjs/throttler';
import type { Request } from 'express';
import {
  AcceptInvitationDto,
  ChangePasswordDto,
  ChangePersonDto,
  HoursDto,
  NewPersonDto,
  type InvitationView,
  type InvitedView,
  type MemberView,
} from '@vendu/contract';
import { AccountLetters } from '../account-letters/account-letters.js';
import { IdPipe } from '../problem/id.pipe.js';
import { AllRoles, LeadOrAdmin, SignedIn, VisitorsToo } from '../session/access.js';
import { RequestKey, type RequestKeyOf } from '../writing/request-key.js';
import { InvitationsService } from './invitations.service.js';
import { MembersService } from './members.service.js';
import type { PersonModel } from './person.model.js';

@Controller()
export class PeopleController {
  constructor(
    private readonly members: MembersService,
    private readonly invitations: InvitationsService,
    private readonly letters: AccountLetters,
  ) {}

  @Get('people')
  @LeadOrAdmin()
  all(): Promise<MemberView[]> {
    return this.members.all();
  }

  @Post('people')
  @LeadOrAdmin()
  add(
    @Body() person: NewPersonDto,
    @SignedIn() by: PersonModel,
    @RequestKey() request: RequestKeyOf | null,
  ): Promise<InvitedView> {
    return this.members.add(person, by, request);
  }

  @Post('people/:personId/invitation')
  @LeadOrAdmin()
  invite(@Param('personId', IdPipe) id: number, @SignedIn() by: PersonModel): Promise<InvitedView> {
    return this.members.invite(id, by);
  }

  @Put('people/:personId/role')
  @LeadOrAdmin()
  setRole(@Param('personId', IdPipe) id: number, @Body() { role }: ChangePersonDto): Promise<MemberView> {
    return this.members.setRole(id, role);
  }

  @Put('people/:personId/left')
  @LeadOrAdmin()
  leave(@Param('personId', IdPipe) id: number): Promise<MemberView> {
    return this.members.setLeft(id, true);
  }

  @Delete('people/:personId/left')
  @LeadOrAdmin()
  comeBack(@Param('personId', IdPipe) id: number): Promise<MemberView> {
    return this.members.setLeft(id, false);
  }

  @Delete('people/:personId/sessions')
  @LeadOrAdmin()
  @HttpCode(204)
  signOut(@Param('personId', IdPipe) id: number, @Req() { sessionID }: Request): Promise<void> {
    return this.members.signOut(id, sessionID);
  }

  /** Whoever plans a day says who is there for it. */
  @Put('people/:personId/hours')
  @HttpCode(204)
  setHours(@Param('personId', IdPipe) id: number, @Body() hours: HoursDto): Promise<void> {
    return this.members.setHours(id, hours);
  }

  @Delete('people/:personId/hours')
  @HttpCode(204)
  endHours(@Param('personId', IdPipe) id: number): Promise<void> {
    return this.members.setHours(id, null);
  }

  @Put('password')
  @AllRoles()
  @HttpCode(204)
  @UseGuards(ThrottlerGuard)
  changePassword(
    @Body() passwords: ChangePasswordDto,
    @SignedIn() person: PersonModel,
    @Req() { sessionID }: Request,
  ): Promise<void> {
    return this.members.changePassword(passwords, person, sessionID);
  }

  @Get('invitations/:secret')
  @VisitorsToo()
  invitation(@Param('secret') secret: string): Promise<InvitationView> {
    return this.invitations.read(secret);
  }

  @Put('invitations/:secret')
  @VisitorsToo()
  @HttpCode(204)
  @UseGuards(ThrottlerGuard)
  async accept(@Param('secret') secret: string, @Body() told: AcceptInvitationDto): Promise<void> {
    const before = await this.invitations.accept(secret, told);
    // Whoever took it may be another.
    if (before) this.letters.tell(before, { kind: 'way-in-taken' });
  }
}
