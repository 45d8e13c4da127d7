import { Body, Controller, Delete, Get, Param, Post, Put } from '@nestjs/common';
import { NewTokenDto, type NewTokenView, type TokenView } from '@vendu/contract';
import type { PersonModel } from '../people/person.model.js';
import { IdPipe } from '../problem/id.pipe.js';
import { AdminsToo, SignedIn } from '../session/access.js';
import { RequestKey, type RequestKeyOf } from '../writing/request-key.js';
import { TokensService } from './tokens.service.js';

@AdminsToo()
@Controller('tokens')
export class TokensController {
  constructor(private readonly service: TokensService) {}

  @Get()
  all(@SignedIn() person: PersonModel): Promise<TokenView[]> {
    return this.service.of(person);
  }

  @Post()
  make(
    @Body() token: NewTokenDto,
    @SignedIn() person: PersonModel,
    @RequestKey() request: RequestKeyOf | null,
  ): Promise<NewTokenView> {
    return this.service.make(token, person, request);
  }

  @Put(':tokenId/ended')
  end(@Param('tokenId', IdPipe) id: number, @SignedIn() person: PersonModel): Promise<TokenView> {
    return this.service.setEnded(id, true, person);
  }

  @Delete(':tokenId/ended')
  goOn(@Param('tokenId', IdPipe) id: number, @SignedIn() person: PersonModel): Promise<TokenView> {
    return this.service.setEnded(id, false, person);
  }
}
