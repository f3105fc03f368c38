/** A file to save, made for whoever asks: under a name, and never kept by a browser. The routes know it as their answer. */
export const asFile = (body: Uint8Array | string, type: string, name: string) =>
  new Response(typeof body === 'string' ? body : new Uint8Array(body), {
    headers: {
      'content-type': type,
      'content-disposition': `attachment; filename="${name}"`,
      'cache-control': 'no-store',
    },
  }) as never;

export const CSV = 'text/csv; charset=utf-8';
export const PDF = 'application/pdf';
