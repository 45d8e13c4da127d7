import { readCommand } from './arguments.js';
import { cleanUp, cleanUpOnSignals } from './cleanup.js';
import { backup, restore } from './commands/backup.js';
import { cluster } from './commands/cluster.js';
import { bench } from './commands/bench.js';
import { buildOnly } from './commands/build.js';
import { demo, serve } from './commands/serve.js';
import { dev } from './commands/dev.js';
import { kill } from './commands/kill.js';
import { help } from './commands/help.js';
import { mutate } from './commands/mutate.js';
import { stop } from './commands/stop.js';
import { test } from './commands/test.js';
import { trust } from './commands/trust.js';
import { CommandFailure } from './report.js';

async function main(): Promise<void> {
  const command = readCommand(process.argv.slice(2));
  switch (command.name) {
    case 'demo':
      return demo(command);
    case 'serve':
      return serve(command);
    case 'cluster':
      return cluster(command);
    case 'dev':
      return dev(command);
    case 'test':
      return test(command);
    case 'bench':
      return bench(command);
    case 'kill':
      return kill(command);
    case 'trust':
      return trust(command);
    case 'mutate':
      return mutate(command);
    case 'backup':
      return backup(command);
    case 'restore':
      return restore(command);
    case 'build':
      return buildOnly();
    case 'stop':
      return stop();
    case 'help': {
      help();
      return;
    }
  }
}

cleanUpOnSignals();
try {
  await main();
} catch (error) {
  console.error(error instanceof CommandFailure ? `✗ ${error.message}` : error);
  process.exitCode = 1;
} finally {
  await cleanUp();
}
