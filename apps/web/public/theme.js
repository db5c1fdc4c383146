// before the first paint, so that a night reader is not dazzled
try {
  const kept = localStorage.getItem('gambito.theme');
  const dark = kept ? kept === 'dark' : matchMedia('(prefers-color-scheme: dark)').matches;
  document.documentElement.dataset.theme = dark ? 'dark' : 'light';
} catch {
  document.documentElement.dataset.theme = 'light';
}

// what a link opens is asked for while the application is still on its way; api/client.ts takes the answer
const link = /^\/a\/([\w-]{20,40})(?:\/|$)/.exec(location.pathname);
if (link) {
  const answer = fetch(`/api/a/${link[1]}`);
  answer.catch(() => undefined);
  window.gambitoEarly = { path: `/a/${link[1]}`, answer };
}
