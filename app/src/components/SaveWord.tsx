import { Txt } from './ui/Txt';

const WORDS = { saved: 'saved', saving: 'saving', failed: 'not saved, trying again' } as const;

/** The quiet word that says whether the last change has been kept. */
export function SaveWord({ state }: { state: keyof typeof WORDS }) {
  return (
    <Txt as="small" tone={state === 'failed' ? 'madder' : 'graphite'} live testID="save-state">
      {WORDS[state]}
    </Txt>
  );
}
