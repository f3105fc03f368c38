import type { DisplayUnits } from '@zt/core/base/units/length';
import { say } from '@zt/core/base/units/phrase';
import type { Finding, Mend } from '@zt/core/model/finding';
import isEqual from 'fast-deep-equal';
import { View } from 'react-native';
import { usePalette } from '../theme/palette';
import { Offer } from './Offer';
import { Trial } from './Trial';
import { Txt } from './ui/Txt';

const WORDS = { stop: 'Stop', next: 'Next', warn: 'Mind', note: 'Note' } as const;
const TONES = { stop: 'madder', next: 'ink', warn: 'madder', note: 'graphite' } as const;

interface FindingNoteProps {
  finding: Finding;
  units: DisplayUnits;
  onMend: (mend: Mend) => void;
  /** The mend that is tried out on the sheet, and how to try one; without, a mend is taken at once. */
  trial?: { mend: Mend | null; onTry: (mend: Mend | null) => void };
  /** Without its own ground, where it stands below the very field. */
  quiet?: boolean;
}

/** What is wrong, by how much, and the buttons that mend it. */
export function FindingNote({ finding, units, onMend, trial, quiet = false }: FindingNoteProps) {
  const p = usePalette();
  const tone = TONES[finding.severity];
  return (
    <View
      role="note"
      aria-label={`${WORDS[finding.severity]}: ${say(finding.text, units)}`}
      style={{
        backgroundColor: quiet ? 'transparent' : p.shade,
        borderLeftWidth: finding.severity === 'stop' ? 8 : 4,
        borderColor: p[tone],
        paddingHorizontal: 12,
        paddingVertical: quiet ? 2 : 12,
        gap: 8,
      }}
    >
      <Txt as={finding.severity === 'note' ? 'body' : 'strong'}>
        <Txt as="strong" tone={tone}>
          {WORDS[finding.severity]}.{' '}
        </Txt>
        {say(finding.text, units)}
      </Txt>
      {finding.mends.map((mend) =>
        trial && isEqual(trial.mend, mend) ? (
          <Trial
            key={say(mend.label, units)}
            mend={mend}
            units={units}
            onTake={() => onMend(mend)}
            onLeave={() => trial.onTry(null)}
          />
        ) : (
          <Offer
            key={say(mend.label, units)}
            title={say(mend.label, units)}
            detail={say(mend.result, units)}
            {...(mend.cost ? { cost: say(mend.cost, units) } : {})}
            tone="moss"
            onTake={() => (trial && mend.cost ? trial.onTry(mend) : onMend(mend))}
          />
        ),
      )}
    </View>
  );
}
