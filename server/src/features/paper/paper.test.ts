import { newTicket } from '@zt/core/planner/newTicket';
import { appliqued } from '@zt/core/testing/appliqued';
import { designed } from '@zt/core/testing/designed';
import { named, plainSetting } from '@zt/core/testing/named';
import { exampleA, SAMPLE_SHELF } from '@zt/core/testing/samples';
import { PDFDocument } from 'pdf-lib';
import { printedOrigin } from '../../http/guard';
import { openTestApp, type TestApp } from '../../testing/testApp';

let shop: TestApp;
beforeEach(async () => {
  shop = await openTestApp();
});
afterEach(() => shop.close());

describe('paper', () => {
  const kept = async (ticket = exampleA()) => {
    await shop.put(`/api/tickets/${ticket.id}`, { ticket, rev: 0 });
    return ticket.id;
  };
  const MM = 72 / 25.4;
  const pdfOf = async (path: string) => PDFDocument.load(await (await shop.raw(path)).arrayBuffer());

  it('prints a template on one page of A4 or Letter, never scaled by the viewer', async () => {
    const id = await kept();
    for (const [paper, width, height] of [
      ['a4', 210, 297],
      ['letter', 215.9, 279.4],
    ] as const) {
      const pdf = await pdfOf(`/api/paper/${id}/template.pdf?paper=${paper}`);
      expect(pdf.getPageCount()).toBe(1);
      const size = pdf.getPage(0).getSize();
      expect(size.width / MM).toBeCloseTo(width, 3);
      expect(size.height / MM).toBeCloseTo(height, 3);
      expect(pdf.catalog.getViewerPreferences()?.getPrintScaling()).toBe('None');
      expect(pdf.getTitle()).toBe('Rowing club crest');
    }
  });

  it('prints a template for each name of an order', async () => {
    const setting = await plainSetting();
    const id = await kept(named(exampleA(), ['Alma', 'Bo', 'Maximiliane'], { setting }));
    expect((await pdfOf(`/api/paper/${id}/template.pdf`)).getPageCount()).toBe(3);
    expect((await shop.raw(`/api/paper/${id}/preview.png?what=template&paper=a4`)).status).toBe(200);
  });

  it('prints patterns of the cloth that is laid on, and says so where there is none', async () => {
    const id = await kept({
      ...exampleA(),
      id: 'ticket-of-cloth',
      design: { ...exampleA().design, parts: [appliqued({ way: 'turned' })] },
    });
    expect((await pdfOf(`/api/paper/${id}/pattern.pdf`)).getPageCount()).toBe(1);
    expect((await shop.raw(`/api/paper/${id}/preview.png?what=pattern&paper=a4`)).status).toBe(200);
    const none = await shop.get(`/api/paper/${await kept()}/pattern.pdf`);
    expect([none.status, (await none.json()).code]).toEqual([400, 'no-cloth']);
  });

  it('tiles what is larger than the paper', async () => {
    const large = { ...exampleA(), id: 'ticket-large-back' };
    const id = await kept(designed(large, { widthMm: 300, heightMm: 300 }));
    expect((await pdfOf(`/api/paper/${id}/template.pdf`)).getPageCount()).toBe(4);
  });

  it('prints a placement ruler with a slot for each size', async () => {
    expect((await pdfOf(`/api/paper/${await kept()}/ruler.pdf`)).getPageCount()).toBeGreaterThan(0);
  });

  it('draws sheet and template as SVG in millimetres', async () => {
    const id = await kept();
    const sheet = await (await shop.get(`/api/paper/${id}/sheet.svg`)).text();
    expect(sheet).toMatch(/^<svg [^>]*width="[\d.]+mm" height="[\d.]+mm" viewBox=/);
    const [, widthMm, units] = /width="([\d.]+)mm".*?viewBox="\S+ \S+ (\S+) /.exec(sheet) ?? [];
    expect(widthMm).toBe(units);
    const template = await (await shop.get(`/api/paper/${id}/template.svg`)).text();
    expect(template).toContain('Rowing club crest, Crossed oars');
    expect(template).toContain('3 7/16 in × 2 in, left chest');
  });

  it('draws the path of the needle in its hoop', async () => {
    const id = await kept();
    await shop.putItem('hoops', SAMPLE_SHELF.hoops[1]);
    const trace = await (await shop.get(`/api/paper/${id}/trace.svg`)).text();
    expect(trace).toMatch(/^<svg [^>]*width="144mm" height="152mm"/);
    expect((await shop.get('/api/paper/no-such-ticket/trace.svg')).status).toBe(404);
  });

  it('draws a picture of the sheet', async () => {
    const png = new Uint8Array(await (await shop.raw(`/api/paper/${await kept()}/sheet.png`)).arrayBuffer());
    expect([...png.slice(1, 4)].map((c) => String.fromCharCode(c)).join('')).toBe('PNG');
    expect(new DataView(png.buffer).getUint32(16)).toBe(1600);
  });

  const CARDS = ['card', 'label'].flatMap((what) =>
    [
      ['a5', 148],
      ['a4', 210],
      ['letter', 215.9],
    ].map(([paper, width]) => [what, String(paper), Number(width)] as const),
  );
  it.each(CARDS)('sets the %s on %s, %d mm wide, never scaled by the viewer', async (what, paper, width) => {
    const pdf = await pdfOf(`/api/paper/${await kept()}/${what}.pdf?paper=${paper}`);
    expect(pdf.getPage(0).getSize().width / MM).toBeCloseTo(width, 3);
    expect(pdf.catalog.getViewerPreferences()?.getPrintScaling()).toBe('None');
  });

  it('shows pages as a picture before they are printed', async () => {
    const id = await kept();
    const png = await shop.raw(`/api/paper/${id}/preview.png?what=card&paper=a5`);
    expect([png.status, png.headers.get('content-type')]).toEqual([200, 'image/png']);
    const view = new DataView(await png.arrayBuffer());
    expect(view.getUint32(16)).toBeLessThanOrEqual(900);
  });

  it('refuses what it cannot print in words', async () => {
    const id = await kept();
    const small = await shop.get(`/api/paper/${id}/preview.png?what=template&paper=a5`);
    expect([small.status, (await small.json()).code]).toEqual([400, 'too-small']);
    expect((await shop.get(`/api/paper/${id}/preview.png?what=flag`)).status).toBe(400);
    expect((await shop.get('/api/paper/no-such-ticket/card.pdf')).status).toBe(404);
  });

  it('a printed code leads into the network where other devices are answered, else to the address asked', () => {
    expect(printedOrigin('127.0.0.1', 'http://localhost:8080/api/x')).toBe('http://localhost:8080');
    expect(printedOrigin('0.0.0.0', 'http://192.168.7.4:8080/api/x')).toBe('http://192.168.7.4:8080');
    expect(printedOrigin('0.0.0.0', 'http://localhost:8080/api/x')).toMatch(/^http:\/\/[\w.]+:8080$/);
  });

  it('prints nothing from numbers that are missing', async () => {
    const bare = newTicket('ticket-not-measured', 't-shirt');
    const answer = await shop.get(`/api/paper/${await kept(bare)}/template.pdf`);
    expect([answer.status, (await answer.json()).code]).toEqual([400, 'not-placed']);
    expect((await shop.get('/api/paper/no-such-ticket/sheet.svg')).status).toBe(404);
    expect((await shop.get(`/api/paper/${bare.id}/template.pdf?paper=a0`)).status).toBe(400);
  });
});
