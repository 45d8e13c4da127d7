import { createApplication } from './application.js';
import { readConfiguration } from './configuration.js';

const configuration = readConfiguration(process.env);
const app = await createApplication(configuration);
await app.listen(configuration.port, configuration.opensToPhones ? '0.0.0.0' : configuration.listenOn);
