/** What of all data is a table of its own. */
export const CSV_TABLES = ['logbook', 'tickets', 'shelf', 'rules'] as const;
export type CsvTable = (typeof CSV_TABLES)[number];
