/** What the page asked for before the app was there, by its address (shell/early.js); nothing of it where the app is worked on. */
declare global {
  var early: Map<string, Promise<Response>> | undefined;
}

/**
 * Asks for something, or takes what was asked for early: that once, since later it may be another. Nothing early is taken
 * any more once something was written: it may tell how that was before.
 */
export function askedOrEarly(request: Request): Promise<Response> {
  if (request.method !== 'GET') globalThis.early?.clear();
  const answer = globalThis.early?.get(request.url);
  if (!answer) return fetch(request);
  globalThis.early?.delete(request.url);
  return answer;
}
