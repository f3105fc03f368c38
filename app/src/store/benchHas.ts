import { QueryStatus } from '@reduxjs/toolkit/query';
import type { KeptTicket } from '@zt/core/model/api';
import { ALL, benchWith, ticketsApi } from '../services/ticketsApi';
import type { AppThunk } from './state';

/**
 * What is kept of a ticket now, in the bench as it was read. One that is being read meanwhile may be of before, and takes
 * the place of this: it is read once more.
 */
export const benchHas =
  (kept: KeptTicket, how: { isNew: boolean }): AppThunk =>
  (dispatch, getState) => {
    dispatch(benchWith(kept, how));
    const { status } = ticketsApi.endpoints.tickets.select(ALL)(getState());
    if (status === QueryStatus.pending) dispatch(ticketsApi.util.invalidateTags(['tickets']));
  };
