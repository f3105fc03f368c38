import { type Change, type DisplayUnits, type Finding, say } from '@zt/core';
import { View } from 'react-native';
import { usePalette } from '../theme/palette';
import { Offer } from './Offer';
import { Txt } from './ui/Txt';

const WORDS = { stop: 'Stop', warn: 'Mind', note: 'Note' } as const;

interface FindingNoteProps {
  finding: Finding;
  units: DisplayUnits;
  onMend: (change: Change) => void;
  /** Without its own ground, where it stands below the very field. */
  quiet?: boolean;
}

/** What is wrong, by how much, and the buttons that mend it. */
export function FindingNote({ finding, units, onMend, quiet = false }: FindingNoteProps) {
  const p = usePalette();
  const tone = finding.severity === 'note' ? 'graphite' : 'madder';
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
      {finding.mends.map((mend) => (
        <Offer
          key={say(mend.label, units)}
          title={say(mend.label, units)}
          detail={say(mend.result, units)}
          tone="moss"
          onTake={() => onMend(mend.change)}
        />
      ))}
    </View>
  );
}
