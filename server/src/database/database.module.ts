import { Global, Inject, Module, type DynamicModule, type OnApplicationShutdown } from '@nestjs/common';
import { Sequelize, type ModelCtor } from 'sequelize-typescript';
import type { Configuration } from '../configuration.js';
import { connect } from './connection.js';
import { Statements } from './statements.js';

/** Provides the one `Sequelize` of the application; models are bound to it when it is made. */
@Global()
@Module({})
export class DatabaseModule implements OnApplicationShutdown {
  constructor(@Inject(Sequelize) private readonly sequelize: Sequelize) {}

  static on(configuration: Configuration, models: ModelCtor[]): DynamicModule {
    return {
      module: DatabaseModule,
      providers: [
        Statements,
        {
          provide: Sequelize,
          inject: [Statements],
          useFactory: (statements: Statements) =>
            connect(configuration, models, { statements, patience: configuration.patience }),
        },
      ],
      exports: [Sequelize, Statements],
    };
  }

  async onApplicationShutdown(): Promise<void> {
    await this.sequelize.close();
  }
}
