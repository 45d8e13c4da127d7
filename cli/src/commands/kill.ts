import getPort, { portNumbers } from 'get-port';
import { prepareDatabase, type ApplicationSettings } from '../application.js';
import { build } from '../build.js';
import { ensureDebianPackages, MARIADB } from '../debian.js';
import { killTest } from '../killTest/killTest.js';
import { recreateSchema } from '../databaseAccounts.js';
import { removeProfile, startDatabase } from '../mariadb.js';
import { profilePaths } from '../paths.js';
import { step } from '../report.js';
import { ensureSecrets } from '../secrets.js';

/** An account of the demo data, which the test brews with. */
const ACCOUNT = { email: 'tamsin@ninthmole.example', password: 'harbour-bench' };
const SAID_EVERY = 10;

/** Kills server and database again and again while a device brews, and prints what was lost or doubled. */
export async function kill({ kills }: { kills: number }): Promise<void> {
  const paths = profilePaths('kill');
  await ensureDebianPackages([MARIADB]);
  removeProfile(paths);
  const secrets = ensureSecrets(paths.secrets);
  await build();
  const database = await step('starting MariaDB for the kills', () => startDatabase(paths, secrets));
  const settings: ApplicationSettings = {
    database,
    databaseName: 'vendu_kill',
    secrets,
    port: await getPort({ port: portNumbers(4900, 4999), host: '127.0.0.1' }),
    isDemo: true,
    servesWeb: false,
  };
  await recreateSchema(database, settings.databaseName);
  await prepareDatabase(settings, paths);
  const report = await step(`${kills} kills at random moments`, () =>
    killTest({
      kills,
      settings,
      secrets,
      paths,
      account: ACCOUNT,
      onKill: (count) => {
        if (count % SAID_EVERY === 0) console.log(`  ${count} of ${kills}`);
      },
    }),
  );
  console.log(
    `\n${kills} kills (${report.serverKills} of the server, ${report.databaseKills} of the database): ` +
      `${report.brewsBegun} brews, ${report.brewsLost} lost, ${report.brewsDoubled} doubled; ` +
      `${report.marksAcknowledged} marks acknowledged, ${report.marksLost} lost; ` +
      `${report.lotsFinished} lots brought to publication, ${report.lotsWrong.length} wrong; ` +
      `${report.answered500} answers of 500`,
  );
  for (const wrong of new Set(report.lotsWrong)) console.log(`  ${wrong}`);
  const lost = report.brewsLost + report.brewsDoubled + report.marksLost;
  if (lost + report.lotsWrong.length + report.answered500 > 0) process.exitCode = 1;
}
