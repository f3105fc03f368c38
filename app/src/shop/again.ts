/** What makes logged pieces again and compares them: fetched when it is asked for, by all who ask as one. */
export const againParts = () => import('@zt/core/records/again/index');
