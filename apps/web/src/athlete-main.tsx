/** The athlete's half: a light application of its own, without anything of the coach's. */
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { pageBefore } from './api/athlete-page';
import { queryClient } from './api/query-client';
import { AthleteApp } from './athlete-app';
import { keepOffline } from './athlete/keep-offline';
import './styles.css';

keepOffline(queryClient);

void pageBefore(queryClient, location.pathname).finally(() =>
  createRoot(document.getElementById('root')!).render(
    <StrictMode>
      <AthleteApp />
    </StrictMode>,
  ),
);
