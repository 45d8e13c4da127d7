import 'reflect-metadata';
import { readConfiguration } from './configuration.js';
import { connect } from './database/connection.js';
import { MODELS } from './models.js';
import { InvitationsService } from './people/invitations.service.js';
import { PeopleService } from './people/people.service.js';

// Run beside the server, by whoever runs it: as long as nobody can sign in it prints the path where the first lead begins.
// Apart from the server, whose log is kept where others may read it.
const configuration = readConfiguration(process.env);
const sequelize = connect(configuration, MODELS);
try {
  const people = await new PeopleService(configuration).all();
  if (people.length === 0) console.log(await new InvitationsService(sequelize).make(null, null));
} finally {
  await sequelize.close();
}
