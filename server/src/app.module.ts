import type { IncomingMessage } from 'node:http';
import { Module, RequestMethod, type DynamicModule } from '@nestjs/common';
import { LoggerModule } from 'nestjs-pino';
import { CalendarModule } from './calendar/calendar.module.js';
import { CareModule } from './care/care.module.js';
import { BrewsModule } from './brews/brews.module.js';
import type { Configuration } from './configuration.js';
import { CONFIGURATION } from './configuration.token.js';
import { EditsModule } from './edits/edits.module.js';
import { DatabaseModule } from './database/database.module.js';
import { TastersModule } from './tasters/tasters.module.js';
import { CupsModule } from './cups/cups.module.js';
import { ComparisonsModule } from './comparisons/comparisons.module.js';
import { ChangesModule } from './changes/changes.module.js';
import { LabImportModule } from './lab-import/lab-import.module.js';
import { ExportModule } from './export/export.module.js';
import { FilesModule } from './files/files.module.js';
import { PaperModule } from './paper/paper.module.js';
import { HandoverModule } from './handover/handover.module.js';
import { HealthModule } from './health/health.module.js';
import { KitModule } from './kit/kit.module.js';
import { LotsModule } from './lots/lots.module.js';
import { PracticeModule } from './practice/practice.module.js';
import { ProofModule } from './proof/proof.module.js';
import { HomeResultsModule } from './home-results/home-results.module.js';
import { PublicPageModule } from './public-page/public-page.module.js';
import { PublicationsModule } from './publications/publications.module.js';
import { RecipesModule } from './recipes/recipes.module.js';
import { ReportsModule } from './reports/reports.module.js';
import { RunningBrewsModule } from './running-brews/running-brews.module.js';
import { withoutSecret } from './instrument-feeds/without-secret.js';
import { InstrumentFeedsModule } from './instrument-feeds/instrument-feeds.module.js';
import { FollowModule } from './follow/follow.module.js';
import { WebhooksModule } from './webhooks/webhooks.module.js';
import { TokensModule } from './tokens/tokens.module.js';
import { TodayModule } from './today/today.module.js';
import { WatchModule } from './watch/watch.module.js';
import { WritingModule } from './writing/writing.module.js';
import type { RequestOfPerson } from './session/access.js';
import { SessionModule } from './session/session.module.js';
import { OperationsModule } from './operations/operations.module.js';
import { MODELS } from './models.js';

@Module({})
export class AppModule {
  static with(configuration: Configuration): DynamicModule {
    return {
      module: AppModule,
      global: true,
      providers: [{ provide: CONFIGURATION, useValue: configuration }],
      exports: [CONFIGURATION],
      imports: [
        LoggerModule.forRoot({
          pinoHttp: {
            level: configuration.logLevel,
            genReqId: ({ id }) => id,
            // Who asked, by number: no name and no e-mail stands in the log.
            customProps: ({ person }: IncomingMessage & Pick<RequestOfPerson, 'person'>) =>
              person ? { personId: person.id } : {},
            // Headers are left out: they carry the cookie, and nothing that the log needs.
            serializers: {
              req: ({ id, method, url }: { id: string; method: string; url: string }) => ({
                id,
                method,
                url: withoutSecret(url),
              }),
              res: ({ statusCode }: { statusCode: number }) => ({ statusCode }),
            },
          },
          forRoutes: [{ path: '{*splat}', method: RequestMethod.ALL }],
        }),
        DatabaseModule.on(configuration, MODELS),
        WritingModule,
        SessionModule,
        HealthModule,
        KitModule,
        EditsModule,
        LotsModule,
        RecipesModule,
        BrewsModule,
        CupsModule,
        PracticeModule,
        RunningBrewsModule,
        InstrumentFeedsModule,
        ProofModule,
        PublicationsModule,
        PublicPageModule,
        WatchModule,
        TodayModule,
        HandoverModule,
        CalendarModule,
        TokensModule,
        WebhooksModule,
        FollowModule,
        HomeResultsModule,
        ChangesModule,
        ComparisonsModule,
        TastersModule,
        ReportsModule,
        FilesModule,
        ExportModule,
        LabImportModule,
        PaperModule,
        CareModule,
        OperationsModule,
      ],
    };
  }
}
