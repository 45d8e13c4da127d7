import { lazy, useState, type ComponentType } from 'react';
import { createBrowserRouter, Navigate, type LoaderFunction } from 'react-router';
import { BenchPage } from '../bench/BenchPage';
import { LotsPage } from '../lots/LotsPage';
import { SignInPage } from '../session/SignInPage';
import { Loading } from '../ui/Loading';
import { sessionApi } from '../session/sessionApi';
import { AHEAD, brewAhead, lotAhead, recipeAhead, type Ask } from './ahead';
import { Frame } from './Frame';
import { MissingPage } from './MissingPage';
import { PageFault } from './PageFault';

/** A page with charts or forms: its program is fetched when it is gone to. */
function page(fetchPage: () => Promise<ComponentType>) {
  let Fetched: ComponentType | null = null;
  const load = async () => {
    Fetched = await fetchPage();
    return { default: Fetched };
  };
  const Awaited = lazy(load);
  /** One that is there is drawn at once: having waited, it would be held back a third of a second for nothing. */
  function Page() {
    const [Drawn] = useState<ComponentType>(() => Fetched ?? Awaited);
    return <Drawn />;
  }
  return { element: <Page />, load };
}

const PAGES = {
  lot: page(async () => (await import('../lots/LotPage')).LotPage),
  newLot: page(async () => (await import('../lots/NewLotPage')).NewLotPage),
  editLot: page(async () => (await import('../lots/EditLotPage')).EditLotPage),
  importLots: page(async () => (await import('../lots/ImportLotsPage')).ImportLotsPage),
  start: page(async () => (await import('../recipes/StartPage')).StartPage),
  kit: page(async () => (await import('../kit/KitPage')).KitPage),
  practice: page(async () => (await import('../practice/PracticePage')).PracticePage),
  referenceCups: page(async () => (await import('../practice/ReferenceCupsPage')).ReferenceCupsPage),
  schools: page(async () => (await import('../schools/SchoolsPage')).SchoolsPage),
  recipe: page(async () => (await import('../recipes/RecipePage')).RecipePage),
  today: page(async () => (await import('../today/TodayPage')).TodayPage),
  reports: page(async () => (await import('../reports/ReportsPage')).ReportsPage),
  inAndOut: page(async () => (await import('../inAndOut/InAndOutPage')).InAndOutPage),
  bringIn: page(async () => (await import('../inAndOut/BringInPage')).BringInPage),
  people: page(async () => (await import('../people/PeoplePage')).PeoplePage),
  operations: page(async () => (await import('../operations/OperationsPage')).OperationsPage),
  invited: page(async () => (await import('../people/InvitedPage')).InvitedPage),
  watch: page(async () => (await import('../watch/WatchPage')).WatchPage),
  recipeWatch: page(async () => (await import('../watch/RecipeWatchPage')).RecipeWatchPage),
  comparisons: page(async () => (await import('../comparisons/ComparisonsPage')).ComparisonsPage),
  newComparison: page(async () => (await import('../comparisons/NewComparisonPage')).NewComparisonPage),
  comparison: page(async () => (await import('../comparisons/ComparisonPage')).ComparisonPage),
  place: page(async () => (await import('../comparisons/PlacePage')).PlacePage),
  proof: page(async () => (await import('../proof/ProofPage')).ProofPage),
  importBrews: page(async () => (await import('../brews/ImportBrewsPage')).ImportBrewsPage),
  brew: page(async () => (await import('../brews/BrewPage')).BrewPage),
  cups: page(async () => (await import('../tasting/CupsPage')).CupsPage),
  taste: page(async () => (await import('../tasting/TastePage')).TastePage),
  published: page(async () => (await import('../publications/PublishedPage')).PublishedPage),
};

/** The addresses of the application. What a page will need is asked for at once, not one thing after the other. */
export function createRouter(ask: Ask) {
  // Before everything: whoever is not signed in sees nothing else.
  void ask(sessionApi.endpoints.session.initiate(undefined, AHEAD));
  /** The program of a page and its data are on their way while the rest of the page is still being drawn. */
  const route = (
    path: string,
    { element, load }: (typeof PAGES)[keyof typeof PAGES],
    ahead?: (ask: Ask, id: number) => Promise<void>,
  ) => {
    const loader: LoaderFunction = ({ params }) => {
      void load().catch(() => undefined);
      const id = Number(Object.values(params)[0]);
      if (ahead && Number.isInteger(id)) void ahead(ask, id);
      return null;
    };
    return { path, element, loader, shouldRevalidate: () => false };
  };
  return createBrowserRouter([
    {
      errorElement: <PageFault />,
      hydrateFallbackElement: <Loading />,
      children: [
        { path: '/', element: <Navigate to="/today" replace /> },
        { path: '/sign-in', element: <SignInPage /> },
        route('/r', PAGES.published),
        route('/invited/:secret', PAGES.invited),
        route('/blind/:secret', PAGES.place),
        { path: '/bench/:versionId', element: <BenchPage /> },
        {
          element: <Frame />,
          children: [
            route('/today', PAGES.today),
            { path: '/lots', element: <LotsPage /> },
            route('/lots/new', PAGES.newLot),
            route('/lots/import', PAGES.importLots),
            route('/lots/:lotId', PAGES.lot, lotAhead),
            route('/lots/:lotId/edit', PAGES.editLot),
            route('/lots/:lotId/start', PAGES.start),
            route('/lots/:lotId/brews/import', PAGES.importBrews),
            route('/kit', PAGES.kit),
            route('/schools', PAGES.schools),
            route('/practice', PAGES.practice),
            route('/practice/cups', PAGES.referenceCups),
            route('/recipes/:recipeId', PAGES.recipe, recipeAhead),
            route('/recipes/:recipeId/proof/:versionId', PAGES.proof, recipeAhead),
            route('/recipes/:recipeId/watch', PAGES.recipeWatch),
            route('/compare', PAGES.comparisons),
            route('/compare/new', PAGES.newComparison),
            route('/compare/:comparisonId', PAGES.comparison),
            route('/watch', PAGES.watch),
            route('/in-and-out', PAGES.inAndOut),
            route('/in-and-out/file', PAGES.bringIn),
            route('/people', PAGES.people),
            route('/operations', PAGES.operations),
            route('/reports/:report?', PAGES.reports),
            route('/cups', PAGES.cups),
            route('/brews/:brewId', PAGES.brew, brewAhead),
            route('/brews/:brewId/taste/:stage?', PAGES.taste),
            { path: '*', element: <MissingPage /> },
          ],
        },
      ],
    },
  ]);
}
