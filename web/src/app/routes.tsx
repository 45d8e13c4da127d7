import { lazy } from 'react';
import { createBrowserRouter, Navigate } from 'react-router';
import { BenchPage } from '../bench/BenchPage';
import { LotsPage } from '../lots/LotsPage';
import { SignInPage } from '../session/SignInPage';
import { Frame } from './Frame';
import { MissingPage } from './MissingPage';
import { PageFault } from './PageFault';

// Pages with charts, forms or the public card are fetched when opened.
const LotPage = lazy(async () => ({ default: (await import('../lots/LotPage')).LotPage }));
const NewLotPage = lazy(async () => ({ default: (await import('../lots/NewLotPage')).NewLotPage }));
const EditLotPage = lazy(async () => ({ default: (await import('../lots/EditLotPage')).EditLotPage }));
const ImportLotsPage = lazy(async () => ({
  default: (await import('../lots/ImportLotsPage')).ImportLotsPage,
}));
const StartPage = lazy(async () => ({ default: (await import('../recipes/StartPage')).StartPage }));
const KitPage = lazy(async () => ({ default: (await import('../kit/KitPage')).KitPage }));
const PracticePage = lazy(async () => ({ default: (await import('../practice/PracticePage')).PracticePage }));
const SchoolsPage = lazy(async () => ({ default: (await import('../schools/SchoolsPage')).SchoolsPage }));
const RecipePage = lazy(async () => ({ default: (await import('../recipes/RecipePage')).RecipePage }));
const BrewPage = lazy(async () => ({ default: (await import('../brews/BrewPage')).BrewPage }));
const TastePage = lazy(async () => ({ default: (await import('../tasting/TastePage')).TastePage }));
const PublishedPage = lazy(async () => ({
  default: (await import('../publications/PublishedPage')).PublishedPage,
}));
const PublicRecipePage = lazy(async () => ({
  default: (await import('../publications/PublicRecipePage')).PublicRecipePage,
}));

export const router = createBrowserRouter([
  {
    errorElement: <PageFault />,
    children: [
      { path: '/', element: <Navigate to="/lots" replace /> },
      { path: '/sign-in', element: <SignInPage /> },
      { path: '/r', element: <PublishedPage /> },
      { path: '/r/:slug', element: <PublicRecipePage /> },
      { path: '/bench/:versionId', element: <BenchPage /> },
      {
        element: <Frame />,
        children: [
          { path: '/lots', element: <LotsPage /> },
          { path: '/lots/new', element: <NewLotPage /> },
          { path: '/lots/import', element: <ImportLotsPage /> },
          { path: '/lots/:lotId', element: <LotPage /> },
          { path: '/lots/:lotId/edit', element: <EditLotPage /> },
          { path: '/lots/:lotId/start', element: <StartPage /> },
          { path: '/kit', element: <KitPage /> },
          { path: '/schools', element: <SchoolsPage /> },
          { path: '/practice', element: <PracticePage /> },
          { path: '/recipes/:recipeId', element: <RecipePage /> },
          { path: '/brews/:brewId', element: <BrewPage /> },
          { path: '/brews/:brewId/taste/:stage?', element: <TastePage /> },
          { path: '*', element: <MissingPage /> },
        ],
      },
    ],
  },
]);
