import 'reflect-metadata';
import { bringUpToDate } from './bring-up-to-date.js';
import { NotConfigured, readConfiguration, type Configuration } from './configuration.js';
import { connect } from './database/connection.js';
import { dump } from './database/dump.js';
import { isGone } from './database/database-faults.js';
import { MODELS } from './models.js';
import { untilAnswers } from './database/until-answers.js';
import { loadDemo } from './demo/load-demo.js';
import { untilFree } from './writing/transactions.js';

// Run before the server: brings the schema up to date and, in demo mode, loads the demo once.
class NotAnswering extends Error {}

const configuration = configurationOrEnd();
const dumpFolder = process.env['VENDU_DUMP_FOLDER'];
const sequelize = connect(configuration, MODELS);
try {
  const answers = await untilAnswers(
    { authenticate: () => sequelize.authenticate() },
    { say: (line) => console.log(line) },
  );
  if (!answers) throw new NotAnswering();
  // Another start that was killed may still hold something for a moment.
  const steps = await untilFree(() =>
    bringUpToDate(sequelize, {
      beforeUpgrade: async (due) => {
        if (dumpFolder === undefined) return;
        const file = await dump(configuration.database, dumpFolder, `before-${due[0] ?? ''}`);
        console.log(`copied the database before its upgrade: ${file}`);
      },
      afterwards: async () => {
        if (configuration.isDemo)
          console.log((await loadDemo(sequelize)) ? 'demo data loaded' : 'demo data was there');
      },
    }),
  );
  console.log(steps.length === 0 ? 'schema is up to date' : `schema: ${steps.join(', ')}`);
} catch (error) {
  if (!(error instanceof NotAnswering) && !isGone(error)) throw error;
  console.log('The database does not answer. Is the machine very busy, or out of memory or disk?');
  process.exitCode = 1;
} finally {
  await sequelize.close();
}

/** What is wrong with a setting is for a person to read, without a stack. */
function configurationOrEnd(): Configuration {
  try {
    return readConfiguration(process.env);
  } catch (error) {
    if (!(error instanceof NotConfigured)) throw error;
    console.log(error.message);
    process.exit(1);
  }
}
