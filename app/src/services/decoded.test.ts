import { TextDecoder } from 'node:util';
import { decoded, tellingLine } from './decoded';

// The one of browsers and Node, which knows every encoding of the standard.
beforeAll(() => {
  globalThis.TextDecoder = TextDecoder as typeof globalThis.TextDecoder;
});

const bytes = (...parts: (string | number[])[]) =>
  new Uint8Array(
    parts.flatMap((part) => (typeof part === 'string' ? [...part].map((c) => c.charCodeAt(0)) : part)),
  );

it('reads what says itself how it is written', () => {
  expect(decoded(bytes('name'))).toEqual([{ name: 'Unicode', text: 'name' }]);
  expect(decoded(bytes('gr', [0xc3, 0xbc], 'n'))).toEqual([{ name: 'Unicode', text: 'grün' }]);
  expect(decoded(bytes([0xff, 0xfe], 'g', [0], 'o', [0]))).toEqual([{ name: 'Unicode', text: 'go' }]);
});

it('asks where only a reader can tell, and never puts a sign for a letter', () => {
  const texts = decoded(bytes('gr', [0xfc], 'n'));
  expect(texts[0]).toEqual({ name: 'Western European', text: 'grün' });
  expect(texts.length).toBeGreaterThan(1);
  expect(texts.every(({ text }) => !text.includes('\uFFFD'))).toBe(true);
  expect(new Set(texts.map(({ text }) => text)).size).toBe(texts.length);
});

it('tells by the first line with a letter beyond the common ones', () => {
  expect(tellingLine('name;hex\r\nnavy;#1F3A5F\r\ngrün;#234A35')).toBe('grün;#234A35');
  expect(tellingLine('all plain')).toBe('');
});
