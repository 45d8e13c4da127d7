import { Global, Inject, Module, type DynamicModule, type OnApplicationShutdown } from '@nestjs/common';
import { Sequelize, type ModelCtor } from 'sequelize-typescript';
import type { Configuration } from '../configuration.js';
import { connect } from './connection.js';

/** Provides the one `Sequelize` of the application; models are bound to it when it is made. */
@Global()
@Module({})
export class DatabaseModule implements OnApplicationShutdown {
  constructor(@Inject(Sequelize) private readonly sequelize: Sequelize) {}

  static on(configuration: Configuration, models: ModelCtor[]): DynamicModule {
    return {
      module: DatabaseModule,
      providers: [{ provide: Sequelize, useFactory: () => connect(configuration, models) }],
      exports: [Sequelize],
    };
  }

  async onApplicationShutdown(): Promise<void> {
    await this.sequelize.close();
  }
}
