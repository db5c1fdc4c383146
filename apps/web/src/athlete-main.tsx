/** The athlete's half: a light application of its own, without anything of the coach's. */
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { AthleteApp } from './athlete-app';
import './styles.css';

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <AthleteApp />
  </StrictMode>,
);
