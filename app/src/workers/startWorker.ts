/** The workers, by the names of their files. */
export type WorkerName =
  | 'colours'
  | 'cut'
  | 'day'
  | 'design'
  | 'file'
  | 'photo'
  | 'scatter'
  | 'stitch'
  | 'thread';

/**
 * Starts a worker. The page's head says what its file is called, since its built name tells what it holds; while the app
 * is being worked on it bears its plain name.
 */
export function startWorker(name: WorkerName): Worker {
  const built = document.querySelector<HTMLMetaElement>('meta[name="workers"]')?.content.split(' ') ?? [];
  const file = built.find((one) => one.startsWith(`${name}-`)) ?? `${name}.js`;
  return new Worker(`/workers/${file}`, { type: 'module' });
}
