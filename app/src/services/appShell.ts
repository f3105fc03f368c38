const SCRIPT = '/serviceWorker.js';

/** A newer app that is here and waits. Taking it opens the page anew, in the newer app. */
export interface NewerApp {
  take: () => void;
}

function waitingIn(registration: ServiceWorkerRegistration): NewerApp | null {
  const { waiting } = registration;
  // Without one in charge this is the first visit: there is nothing older.
  if (!waiting || !navigator.serviceWorker.controller) return null;
  return { take: () => waiting.postMessage('take over') };
}

/**
 * Keeps the app on this device, so that it opens without the shop's computer, and tells of a newer one once that is
 * here. Where the browser does not allow it (plain http from another computer) nothing is kept. Returns its end.
 */
export function keepApp(onNewer: (newer: NewerApp) => void): () => void {
  if (!('serviceWorker' in navigator)) return () => undefined;
  const { serviceWorker } = navigator;
  let ended = false;
  let taken = false;
  const tell = (registration: ServiceWorkerRegistration) => {
    const newer = waitingIn(registration);
    if (newer && !ended)
      onNewer({
        take: () => {
          taken = true;
          newer.take();
        },
      });
  };
  const opened = () => {
    if (taken) window.location.reload();
  };
  serviceWorker.addEventListener('controllerchange', opened);
  void serviceWorker
    .register(SCRIPT)
    .then((registration) => {
      tell(registration);
      registration.addEventListener('updatefound', () => {
        const { installing } = registration;
        installing?.addEventListener('statechange', () => {
          if (installing.state === 'installed') tell(registration);
        });
      });
    })
    .catch(() => undefined);
  return () => {
    ended = true;
    serviceWorker.removeEventListener('controllerchange', opened);
  };
}

/** Takes away what of the shop was kept on this device to be read without its computer. */
export const forgetWhatWasRead = async (): Promise<void> => {
  if ('caches' in globalThis) await caches.delete('shop');
};
