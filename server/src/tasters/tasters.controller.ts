import { Body, Controller, Get, Post } from '@nestjs/common';
import {
  ReferenceTrialDto,
  type CaffeineView,
  type ReferenceCupsView,
  type TasterView,
} from '@vendu/contract';
import type { PersonModel } from '../people/person.model.js';
import { SignedIn, TastersToo } from '../session/access.js';
import { RequestKey, type RequestKeyOf } from '../writing/request-key.js';
import { ReferenceCupsService } from './reference-cups.service.js';
import { TastersService } from './tasters.service.js';

@Controller('tasters')
export class TastersController {
  constructor(
    private readonly service: TastersService,
    private readonly references: ReferenceCupsService,
  ) {}

  /** How everybody reads beside the others, over all cups that several tasted. */
  @Get()
  all(): Promise<TasterView[]> {
    return this.service.all();
  }

  /** Words of this house that the lexicon does not have. */
  @Get('words')
  @TastersToo()
  words(): Promise<string[]> {
    return this.service.words();
  }

  /** What whoever asks found in reference cups; nobody sees another's. */
  @Get('me/reference-cups')
  referenceCups(@SignedIn() person: PersonModel): Promise<ReferenceCupsView> {
    return this.references.of(person);
  }

  @Post('me/reference-cups')
  addReferenceCups(
    @Body() trial: ReferenceTrialDto,
    @SignedIn() person: PersonModel,
    @RequestKey() request: RequestKeyOf | null,
  ): Promise<ReferenceCupsView> {
    return this.references.add(trial, person, request);
  }

  /** What whoever asks has had of caffeine by tasting. */
  @Get('me/caffeine')
  @TastersToo()
  caffeine(@SignedIn() person: PersonModel): Promise<CaffeineView> {
    return this.service.caffeine(person);
  }
}
