import { v7 } from 'uuid';

/** An id made by the client: unique, and sorting by time. */
export const newId = (): string => v7();
