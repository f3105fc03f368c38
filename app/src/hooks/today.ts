import { format } from 'date-fns/format';

/** Today's date where the shop is, as ISO writes it. */
export const today = (): string => format(new Date(), 'yyyy-MM-dd');
