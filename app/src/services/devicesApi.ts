import type { DeviceRole, Network, OwnDevice, Pair, PairedDevice, PairingCode } from '@zt/core/model/device';
import { api } from './api';

/** The devices that are paired with the shop's computer. */
export const devicesApi = api.injectEndpoints({
  endpoints: (build) => ({
    ownDevice: build.query<OwnDevice, void>({ query: () => '/devices/me' }),
    network: build.query<Network, void>({ query: () => '/devices/network' }),
    openNetwork: build.mutation<Network, boolean>({
      query: (isOpen) => ({ url: '/devices/network', method: 'PUT', body: { isOpen } }),
      onQueryStarted: async (_, { dispatch, queryFulfilled }) => {
        const { data } = await queryFulfilled.catch(() => ({ data: null }));
        if (data) dispatch(devicesApi.util.upsertQueryData('network', undefined, data));
      },
    }),
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
  useNetworkQuery,
  useOpenNetworkMutation,
  useDevicesQuery,
  useAskCodeMutation,
  usePairMutation,
  useRevokeDeviceMutation,
} = devicesApi;
