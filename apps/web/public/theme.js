// before the first paint, so that a night reader is not dazzled
try {
  const kept = localStorage.getItem('gambito.theme');
  const dark = kept ? kept === 'dark' : matchMedia('(prefers-color-scheme: dark)').matches;
  document.documentElement.dataset.theme = dark ? 'dark' : 'light';
} catch {
  document.documentElement.dataset.theme = 'light';
}
