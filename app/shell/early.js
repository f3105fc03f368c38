// Asks at once for what the page will want first, while the app's scripts are still being read. The app takes each answer
// once, in place of asking again (services/early.ts); one that it has not taken soon is let go.
(() => {
  const { pathname } = location;
  const [, ticket] = /^\/ticket\/([\w-]+)\//.exec(pathname) ?? [];
  const wanted = ['shelf', 'rules'];
  if (ticket) wanted.push(`tickets/${ticket}`);
  if (pathname === '/') wanted.push('tickets');
  const answers = new Map();
  for (const path of wanted) {
    const { href } = new URL(`/api/${path}`, location.href);
    const answer = fetch(href);
    // Where it fails, the app is told when it asks.
    answer.catch(() => undefined);
    answers.set(href, answer);
  }
  globalThis.early = answers;
  setTimeout(() => answers.clear(), 10_000);
})();
