import { HomeResultModel } from '../home-results/home-result.model.js';
import type { PublicationModel } from '../publications/publication.model.js';
import { momentDaysAgo } from './demo-dates.js';
import type { DemoLot } from './scenario.js';

/** What kitchens told of a card while it was public. */
export async function loadHomeResults(
  { homeResults = [] }: Pick<DemoLot, 'homeResults'>,
  { id }: PublicationModel,
  publishedDaysAgo: number,
): Promise<void> {
  await HomeResultModel.bulkCreate(
    homeResults
      .filter(({ daysAgo }) => daysAgo < publishedDaysAgo)
      .map(({ daysAgo, ...told }, index) => ({
        ...told,
        // A fixed key each, in the form of a UUID of version 4.
        clientKey: `00000000-0000-4000-9000-${String(id).padStart(6, '0')}${String(index).padStart(6, '0')}`,
        publicationId: id,
        grinder: '',
        setting: null,
        createdAt: momentDaysAgo(daysAgo, 18),
      })),
  );
}
