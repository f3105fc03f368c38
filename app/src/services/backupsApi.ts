import type { Backups } from '@zt/core';
import { api } from './api';

/** The backups on the shop's computer. */
export const backupsApi = api.injectEndpoints({
  endpoints: (build) => ({
    backups: build.query<Backups, void>({ query: () => '/backups', providesTags: ['backups'] }),
    makeBackup: build.mutation<Backups, void>({
      query: () => ({ url: '/backups', method: 'POST' }),
      invalidatesTags: ['backups'],
    }),
  }),
});

export const { useBackupsQuery, useMakeBackupMutation } = backupsApi;
