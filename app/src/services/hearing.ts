/** What is heard of the shop's computer: the connection stands, is lost, which data it is, or what was changed. */
export interface Heard {
  type: 'open' | 'lost' | 'listening' | 'message';
  data: string;
}

type Hear = (heard: Heard) => void;

/** A break that is over sooner is nothing to speak of, ms. */
const LOST_MS = 3000;

/** Hears by a connection of this page's own. Returns its end. */
function connect(hear: Hear): () => void {
  const source = new EventSource('/api/changes');
  let lost: ReturnType<typeof setTimeout> | undefined;
  source.addEventListener('error', () => {
    // Closed for good is an answer: this device is not paired.
    if (source.readyState === EventSource.CLOSED) return;
    lost ??= setTimeout(() => hear({ type: 'lost', data: '' }), LOST_MS);
  });
  source.addEventListener('open', () => {
    clearTimeout(lost);
    lost = undefined;
    hear({ type: 'open', data: '' });
  });
  for (const type of ['listening', 'message'] as const)
    source.addEventListener(type, ({ data }) => hear({ type, data }));
  return () => {
    clearTimeout(lost);
    source.close();
  };
}

const NAME = 'changes';
const WHO_HEARS = 'who hears?';

/**
 * Hears what is changed, by one connection for all pages of this browser: plain http gives a browser six, and each page
 * that held one would leave the others without. The page that has the lock hears and tells the rest; once it is closed
 * the next one does. Where locks are not to be had (no secure context) each page has its own. Returns its end.
 */
export function hearChanges(hear: Hear): () => void {
  if (!('EventSource' in globalThis)) return () => undefined;
  if (!('locks' in navigator) || !('BroadcastChannel' in globalThis)) return connect(hear);
  const pages = new BroadcastChannel(NAME);
  pages.addEventListener('message', ({ data }) => {
    if (data !== WHO_HEARS) hear(data as Heard);
  });
  pages.postMessage(WHO_HEARS);
  const ended = new AbortController();
  const lead = () =>
    new Promise<void>((done) => {
      let [isOpen, listening] = [false, null as Heard | null];
      const tell = (heard: Heard) => {
        isOpen = heard.type === 'open' || (isOpen && heard.type !== 'lost');
        if (heard.type === 'listening') listening = heard;
        pages.postMessage(heard);
        hear(heard);
      };
      const close = connect(tell);
      // A page that is opened later hears how it stands.
      pages.addEventListener('message', ({ data }) => {
        if (data !== WHO_HEARS) return;
        pages.postMessage({ type: isOpen ? 'open' : 'lost', data: '' } satisfies Heard);
        if (listening) pages.postMessage(listening);
      });
      ended.signal.addEventListener('abort', () => {
        close();
        done();
      });
    });
  navigator.locks.request(NAME, { signal: ended.signal }, lead).catch(() => undefined);
  return () => {
    ended.abort();
    pages.close();
  };
}
