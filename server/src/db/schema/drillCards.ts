import type { DrillCard } from '@zt/core/model/drillCard';
import { sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** How far each topic of the drills is learned: what the scheduler keeps of it. */
export const drillCards = sqliteTable('drill_cards', {
  key: text().primaryKey(),
  card: text({ mode: 'json' }).$type<DrillCard>().notNull(),
});
