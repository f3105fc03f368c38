/** The server's own words for what it did not do; what is said where it did not answer at all. */
export const messageOf = (error: unknown, unanswered: string): string => {
  const message = (error as { data?: { message?: unknown } } | undefined)?.data?.message;
  return typeof message === 'string' ? message : unanswered;
};
