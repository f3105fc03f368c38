import type { z } from 'zod';
import { say } from '../base/units/phrase';
import { CustomerSchema } from '../model/customer';
import { allBounds } from '../model/fields/bounds';
import { boundsInWords } from '../model/fields/readField';
import { HouseRulesSchema } from '../model/houseRules';
import { OrderSchema } from '../model/order';
import { SHELF_ITEMS } from '../model/shelf';
import { TicketSchema } from '../model/ticket';

const THINGS: Record<string, z.ZodType> = {
  ticket: TicketSchema,
  order: OrderSchema,
  customer: CustomerSchema,
  'house rules': HouseRulesSchema,
  ...SHELF_ITEMS,
};
/** What nobody types: ids, what was settled, unread texts, offered values, a drawing as it was read. */
const NOT_TYPED = /^(id$|settled|unread|offers|design\.parts\.\*\.(id|artwork)|design\.order)|Ids?\b/;

const tableOf = ([name, schema]: [string, z.ZodType]): string =>
  [
    `## ${name}`,
    '',
    '| Field | Takes |',
    '| --- | --- |',
    ...allBounds(schema)
      .filter(([at]) => !NOT_TYPED.test(at))
      .map(([at, bounds]) => `| \`${at}\` | ${say(boundsInWords(bounds), { system: 'mm' })} |`),
  ].join('\n');

/** What every typed field takes, as Markdown, from the schemas that the server checks. Lengths in mm. */
export const boundsTable = (): string =>
  [
    '# What every field takes',
    'Printed from the schemas by `npm test`; both ends are allowed. `*` stands for a row of a list or a key of a record. What is typed beyond stays in its field, and is not used.',
    ...Object.entries(THINGS).map(tableOf),
    '',
  ].join('\n\n');
