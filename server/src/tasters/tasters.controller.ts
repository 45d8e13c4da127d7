import { Controller, Get } from '@nestjs/common';
import type { CaffeineView, TasterView } from '@vendu/contract';
import type { PersonModel } from '../people/person.model.js';
import { SignedIn } from '../session/access.js';
import { TastersService } from './tasters.service.js';

@Controller('tasters')
export class TastersController {
  constructor(private readonly service: TastersService) {}

  /** How everybody reads beside the others, over all cups that several tasted. */
  @Get()
  all(): Promise<TasterView[]> {
    return this.service.all();
  }

  /** Words of this house that the lexicon does not have. */
  @Get('words')
  words(): Promise<string[]> {
    return this.service.words();
  }

  /** What whoever asks has had of caffeine by tasting. */
  @Get('me/caffeine')
  caffeine(@SignedIn() person: PersonModel): Promise<CaffeineView> {
    return this.service.caffeine(person);
  }
}
