// what a link opens is asked for while the application is still on its way; api/client.ts takes the answer
const link = /^\/a\/([\w-]{20,40})(?:\/|$)/.exec(location.pathname);
if (link) {
  const answer = fetch(`/api/a/${link[1]}`);
  answer.catch(() => undefined);
  window.gambitoEarly = { path: `/a/${link[1]}`, answer };
}
