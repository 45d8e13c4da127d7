import 'reflect-metadata';
import { StrictMode, Suspense } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router';
import { createRouter } from './app/routes';
import { createStore } from './app/store';
import { countHeldPresses } from './device/heldPress';
import { showStyleNonce } from './device/styleNonce';
import { startTheme } from './device/theme';
import { Loading } from './ui/Loading';
import { Notices } from './ui/Notices';
import './styles.css';

const root = document.getElementById('root');
if (!root) throw new Error('index.html has no #root');
showStyleNonce();
countHeldPresses();
startTheme();
const store = createStore();
const router = createRouter(store.dispatch);
createRoot(root).render(
  <StrictMode>
    <Provider store={store}>
      <Suspense fallback={<Loading />}>
        <RouterProvider router={router} />
      </Suspense>
      <Notices />
    </Provider>
  </StrictMode>,
);
