import type { DeviceRole, OwnDevice, Pair, PairedDevice, PairingCode } from '@zt/core/model/device';
import { api } from './api';

/** The devices that are paired with the shop's computer. */
export const devicesApi = api.injectEndpoints({
  endpoints: (build) => ({
    ownDevice: build.query<OwnDevice, void>({ query: () => '/devices/me' }),
    devices: build.query<PairedDevice[], void>({ query: () => '/devices', providesTags: ['devices'] }),
    askCode: build.mutation<PairingCode, DeviceRole>({
      query: (role) => ({ url: '/devices/code', method: 'POST', body: { role } }),
    }),
    pair: build.mutation<OwnDevice, Pair>({
      query: (body) => ({ url: '/devices/pair', method: 'POST', body }),
    }),
    revokeDevice: build.mutation<unknown, string>({
      query: (id) => ({ url: `/devices/${id}`, method: 'DELETE' }),
      invalidatesTags: ['devices'],
    }),
  }),
});

export const {
  useOwnDeviceQuery,
  useDevicesQuery,
  useAskCodeMutation,
  usePairMutation,
  useRevokeDeviceMutation,
} = devicesApi;
