import { askedOrEarly } from './early';

const SHELF = 'http://localhost/api/shelf';
const asked = jest.fn<Promise<Response>, [Request]>(() => Promise.resolve('anew' as never));

beforeEach(() => {
  asked.mockClear();
  globalThis.fetch = asked as never;
  globalThis.early = new Map([[SHELF, Promise.resolve('early' as never)]]);
});
afterEach(() => {
  globalThis.early = undefined;
});

const question = (url: string, method = 'GET') => ({ url, method }) as Request;

it('takes what was asked for early, once; then it asks', async () => {
  expect(await askedOrEarly(question(SHELF))).toBe('early');
  expect(asked).not.toHaveBeenCalled();
  expect(await askedOrEarly(question(SHELF))).toBe('anew');
});

it('asks for all else, and where nothing was asked early', async () => {
  expect(await askedOrEarly(question('http://localhost/api/rules'))).toBe('anew');
  globalThis.early = undefined;
  expect(await askedOrEarly(question(SHELF))).toBe('anew');
});

it('asks anew once something was written: what was asked before tells how it was', async () => {
  expect(await askedOrEarly(question('http://localhost/api/rules', 'PUT'))).toBe('anew');
  expect(await askedOrEarly(question(SHELF))).toBe('anew');
});

it('hands on that it could not be had', async () => {
  globalThis.early = new Map([[SHELF, Promise.reject(new TypeError('away'))]]);
  await expect(askedOrEarly(question(SHELF))).rejects.toThrow('away');
});
