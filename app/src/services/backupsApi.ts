import type { Backups } from '@zt/core/model/api';
import type { BroughtIn } from '@zt/core/model/exported';
import { api } from './api';

/** The backups on the shop's computer. */
export const backupsApi = api.injectEndpoints({
  endpoints: (build) => ({
    backups: build.query<Backups, void>({ query: () => '/backups', providesTags: ['backups'] }),
    makeBackup: build.mutation<Backups, void>({
      query: () => ({ url: '/backups', method: 'POST' }),
      invalidatesTags: ['backups'],
    }),
    /** A document as it was read from a file; it is checked there. */
    bringIn: build.mutation<BroughtIn, string>({
      query: (body) => ({
        url: '/export',
        method: 'POST',
        body,
        headers: { 'content-type': 'text/plain' },
      }),
      invalidatesTags: ['backups', 'tickets', 'shelf', 'rules', 'logbook'],
    }),
    /** Every open page opens anew after it. */
    restoreBackup: build.mutation<Backups, string>({
      query: (name) => ({ url: `/backups/${name}/restore`, method: 'POST' }),
    }),
  }),
});

export const { useBackupsQuery, useMakeBackupMutation, useRestoreBackupMutation, useBringInMutation } =
  backupsApi;
