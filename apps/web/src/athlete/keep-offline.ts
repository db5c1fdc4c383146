/** Has the service worker keep this page, where the browser allows one (loopback or https). */
import type { QueryClient } from '@tanstack/react-query';

export function keepOffline(client: QueryClient): void {
  if (!('serviceWorker' in navigator)) return;
  const { serviceWorker } = navigator;
  // what was fetched before it took over is asked once more, so that it is kept
  serviceWorker.addEventListener('controllerchange', () => void client.invalidateQueries());
  window.addEventListener('load', () => void serviceWorker.register('/athlete-sw.js', { scope: '/a/' }).catch(() => undefined));
}
