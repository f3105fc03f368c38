import { photoIdOf } from '@zt/core/model/photoId';
import { drawn } from '@zt/core/testing/pictures';
import { exampleA, SAMPLE_SHELF } from '@zt/core/testing/samples';
import { PDFDocument, PDFName, PDFRawStream } from 'pdf-lib';
import { openTestApp, type TestApp } from '../../testing/testApp';

let shop: TestApp;
beforeEach(async () => {
  shop = await openTestApp();
  for (const noun of ['machines', 'hoops', 'materials', 'threads'] as const)
    for (const item of SAMPLE_SHELF[noun]) await shop.putItem(noun, item);
});
afterEach(() => shop.close());

/** The pictures that a PDF holds, as px. */
async function picturesIn(bytes: Uint8Array): Promise<string[]> {
  const document = await PDFDocument.load(bytes);
  return document.context.enumerateIndirectObjects().flatMap(([, object]) => {
    if (!(object instanceof PDFRawStream) || String(object.dict.get(PDFName.of('Subtype'))) !== '/Image')
      return [];
    return [`${object.dict.get(PDFName.of('Width'))} × ${object.dict.get(PDFName.of('Height'))}`];
  });
}

it('an entry is printed with its photos; one that is lost is left out, and nothing else', async () => {
  const [front, back] = [drawn(300, 200, 'jpeg'), drawn(160, 240, 'jpeg')];
  await shop.sendBytes(`/api/photos/${photoIdOf(front)}`, front, 'image/jpeg');
  await shop.sendBytes(`/api/photos/${photoIdOf(back)}`, back, 'image/jpeg');
  const base = exampleA();
  const photos = [
    { id: photoIdOf(front), moment: 'front' as const },
    { id: photoIdOf(back), moment: 'back' as const },
    { id: 'f'.repeat(64), moment: 'in the hoop' as const },
  ];
  const ticket = { ...base, log: { ...base.log, photos } };
  await shop.put(`/api/tickets/${ticket.id}`, { ticket, rev: 0 });
  await shop.post('/api/logbook', { id: 'entry-to-print', ticket });
  const answer = await shop.raw('/api/logbook/entry-to-print/entry.pdf');
  expect(answer.headers.get('content-type')).toBe('application/pdf');
  expect((await picturesIn(new Uint8Array(await answer.arrayBuffer()))).sort()).toEqual([
    '160 × 240',
    '300 × 200',
  ]);
  expect((await shop.get('/api/logbook/no-such-entry/entry.pdf')).status).toBe(404);
  expect((await shop.get('/api/logbook/entry-to-print/entry.pdf?paper=a0')).status).toBe(400);
});
