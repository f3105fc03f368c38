/** The bytes of a file that the app ships; throws when it is not there. */
export const bytesOf = (path: string) => async (): Promise<Uint8Array> => {
  const answer = await fetch(new URL(path, self.location.origin));
  if (!answer.ok) throw new Error(`${path} is not there: ${answer.status}`);
  return new Uint8Array(await answer.arrayBuffer());
};
