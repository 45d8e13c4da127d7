import { Body, Controller, Get, HttpCode, Post, Put, Req, UseGuards } from '@nestjs/common';
import { ThrottlerGuard } from '@nestjs/throttler';
import type { Request } from 'express';
import {
  BeginSecondFactorDto,
  SecondFactorCodeDto,
  type RecoveryCodesView,
  type SecondFactorBegunView,
  type SecondFactorView,
} from '@vendu/contract';
import type { PersonModel } from '../people/person.model.js';
import { AllRoles, SignedIn } from '../session/access.js';
import { SecondFactorService } from './second-factor.service.js';

/** One's own: what somebody else is asked for is told to nobody but whoever runs the lab, and only that it is. */
@Controller('second-factor')
@AllRoles()
export class SecondFactorController {
  constructor(private readonly service: SecondFactorService) {}

  @Get()
  read(@SignedIn() { id }: PersonModel): Promise<SecondFactorView> {
    return this.service.read(id);
  }

  @Post()
  @HttpCode(200)
  @UseGuards(ThrottlerGuard)
  begin(
    @Body() { present }: BeginSecondFactorDto,
    @SignedIn() person: PersonModel,
  ): Promise<SecondFactorBegunView> {
    return this.service.begin(person, present);
  }

  @Put()
  @UseGuards(ThrottlerGuard)
  prove(
    @Body() { code }: SecondFactorCodeDto,
    @SignedIn() person: PersonModel,
    @Req() { sessionID }: Request,
  ): Promise<RecoveryCodesView> {
    return this.service.prove(person, code, sessionID);
  }

  /** With a code in its body, which an address would show. */
  @Post('end')
  @HttpCode(204)
  @UseGuards(ThrottlerGuard)
  end(@Body() { code }: SecondFactorCodeDto, @SignedIn() person: PersonModel): Promise<void> {
    return this.service.end(person, code);
  }
}
