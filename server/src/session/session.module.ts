import { Module } from '@nestjs/common';
import { APP_GUARD } from '@nestjs/core';
import { ThrottlerModule } from '@nestjs/throttler';
import type { Configuration } from '../configuration.js';
import { CONFIGURATION } from '../configuration.token.js';
import { KeptThrottle } from '../limits/kept-throttle.js';
import { AccountLettersModule } from '../account-letters/account-letters.module.js';
import { LimitsModule } from '../limits/limits.module.js';
import { PeopleModule } from '../people/people.module.js';
import { SecondFactorModule } from '../second-factor/second-factor.module.js';
import { TokenAccess } from '../tokens/token-access.js';
import { AccessGuard } from './access.js';
import { Guesses } from './guesses.js';
import { LiveStreams } from './live-streams.js';
import { SessionController } from './session.controller.js';
import { SessionsController } from './sessions.controller.js';
import { SessionService } from './session.service.js';

@Module({
  imports: [
    PeopleModule,
    AccountLettersModule,
    LimitsModule,
    SecondFactorModule,
    ThrottlerModule.forRootAsync({
      imports: [LimitsModule],
      inject: [CONFIGURATION, KeptThrottle],
      useFactory: ({ signInsPerMinute }: Configuration, storage: KeptThrottle) => ({
        throttlers: [{ ttl: 60_000, limit: signInsPerMinute }],
        storage,
      }),
    }),
  ],
  controllers: [SessionController, SessionsController],
  exports: [LiveStreams],
  providers: [
    SessionService,
    TokenAccess,
    LiveStreams,
    Guesses,
    { provide: APP_GUARD, useClass: AccessGuard },
  ],
})
export class SessionModule {}
