import { createRoute, OpenAPIHono, z } from '@hono/zod-openapi';
import { IdSchema } from '@zt/core/base/ids';
import {
  AskCodeSchema,
  NetworkSchema,
  OpenNetworkSchema,
  OwnDeviceSchema,
  PairedDeviceSchema,
  PairingCodeSchema,
  PairSchema,
} from '@zt/core/model/device';
import { setCookie } from 'hono/cookie';
import type { Context } from '../../context';
import { defaultHook } from '../../defaultHook';
import { ApiError, answers, body, Done, failures, notFound } from '../../errors';
import { isOpenToAll, pagesToPair } from '../../http/guard';
import { type Asker, DEVICE_COOKIE } from '../../http/whoAsks';
import { squaresOf } from '../../qr';
import { newToken, Pairing } from './pairing';
import { listDevices } from './reader';
import { pairDevice, revokeDevice } from './writer';

const me = createRoute({
  method: 'get',
  path: '/me',
  summary: 'What this device may do',
  responses: { 200: answers(OwnDeviceSchema, 'Its role; null while it is not paired') },
});
const network = createRoute({
  method: 'get',
  path: '/network',
  summary: 'Whether other devices in the network are answered',
  responses: { 200: answers(NetworkSchema, 'Whether they are, and whether that may be switched from here') },
});
const openNetwork = createRoute({
  method: 'put',
  path: '/network',
  summary: 'Answer other devices in the network, or no more, until the program ends',
  request: { body: body(OpenNetworkSchema) },
  responses: { 200: answers(NetworkSchema, 'As it is now'), ...failures },
});
const list = createRoute({
  method: 'get',
  path: '/',
  summary: 'The devices that are paired',
  responses: { 200: answers(z.array(PairedDeviceSchema), 'The devices') },
});
const ask = createRoute({
  method: 'post',
  path: '/code',
  summary: 'A code of six digits that pairs one device',
  request: { body: body(AskCodeSchema) },
  responses: { 200: answers(PairingCodeSchema, 'The code, with where it is entered'), ...failures },
});
const pair = createRoute({
  method: 'post',
  path: '/pair',
  summary: 'Pair this device with the code that the shop’s computer shows',
  request: { body: body(PairSchema) },
  responses: { 200: answers(OwnDeviceSchema, 'Paired'), ...failures },
});
const revoke = createRoute({
  method: 'delete',
  path: '/{id}',
  summary: 'Revoke a device: it is answered no more',
  request: { params: z.object({ id: IdSchema }) },
  responses: { 200: answers(Done, 'Revoked'), ...failures },
});

/** A paired device stays so until it is revoked, or was away for so long, s. */
const PAIRED_S = 400 * 24 * 60 * 60;

const NOT_PAIRED = {
  wrong: 'This is not the code that the shop’s computer shows now, or it is over. Ask for a new one there.',
  'too-many': 'Too many codes were tried from here. Wait ten minutes, then ask for a new one.',
} as const;

const NOT_SWITCHED =
  'Another program of this computer answers other devices at this port. Stop it, or start this one with another PORT. All is as it was.';

export function devicesRoutes(context: Context) {
  const { store, reach, changes, remote, now } = context;
  const networkNow = ({ isShopsComputer }: Asker) => ({
    isOpen: isOpenToAll(reach.host),
    maySwitch: isShopsComputer && reach.open !== null,
  });
  const pairing = new Pairing();
  const nowMs = () => Date.parse(now());
  const app = new OpenAPIHono({ defaultHook })
    .openapi(me, (c) => {
      const { role, isShopsComputer } = c.get('asker');
      return c.json({ role, isShopsComputer, securePort: reach.secure?.port ?? null }, 200);
    })
    .openapi(network, (c) => c.json(networkNow(c.get('asker')), 200))
    .openapi(openNetwork, async (c) => {
      const { isOpen } = c.req.valid('json');
      if (!networkNow(c.get('asker')).maySwitch || !reach.open)
        throw new ApiError(
          403,
          'not-here',
          'This is switched on the shop’s computer itself. Nothing was changed.',
        );
      await reach.open(isOpen).catch(() => {
        throw new ApiError(503, 'not-switched', NOT_SWITCHED);
      });
      return c.json(networkNow(c.get('asker')), 200);
    })
    .openapi(list, async (c) => c.json(await listDevices(store.db), 200))
    .openapi(ask, (c) => {
      const { role } = c.req.valid('json');
      const { code, expiresMs } = pairing.ask(role, nowMs());
      const pages = pagesToPair(reach.host, new URL(c.req.url).port, code);
      const [first] = pages;
      return c.json(
        {
          code,
          role,
          expiresAt: new Date(expiresMs).toISOString(),
          pages,
          squares: first ? squaresOf(first) : null,
        },
        200,
      );
    })
    .openapi(pair, async (c) => {
      const { code, name } = c.req.valid('json');
      const tried = pairing.enter(code, remote(c) ?? '', nowMs());
      if (!tried.ok) throw new ApiError(tried.why === 'wrong' ? 403 : 429, tried.why, NOT_PAIRED[tried.why]);
      const token = newToken();
      await store.write((tx) => pairDevice(tx, { name, role: tried.role, token }, now()));
      setCookie(c, DEVICE_COOKIE, token, {
        httpOnly: true,
        sameSite: 'Strict',
        secure: new URL(c.req.url).protocol === 'https:',
        path: '/',
        maxAge: PAIRED_S,
      });
      const securePort = reach.secure?.port ?? null;
      return c.json({ role: tried.role, isShopsComputer: false, securePort }, 200);
    })
    .openapi(revoke, async (c) => {
      const { id } = c.req.valid('param');
      if (!(await store.write((tx) => revokeDevice(tx, id)))) throw notFound('device');
      changes.revoke(id);
      return c.json({ done: true as const }, 200);
    });
  return app;
}
