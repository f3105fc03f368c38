import { type Change, type DisplayUnits, type Finding, say } from '@zt/core';
import { Pressable, View } from 'react-native';
import { usePalette } from '../theme/palette';
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
      {finding.mends.map((mend) => {
        const [label, result] = [say(mend.label, units), say(mend.result, units)];
        return (
          <Pressable
            key={label}
            role="button"
            aria-label={`${label}: ${result}`}
            onPress={() => onMend(mend.change)}
            style={{
              minHeight: 48,
              borderWidth: 1.5,
              borderColor: p.ink,
              borderRadius: 6,
              backgroundColor: p.panel,
              paddingHorizontal: 12,
              paddingVertical: 6,
            }}
          >
            <Txt as="strong">{label}</Txt>
            <Txt as="small" tone="moss">
              {result}
            </Txt>
          </Pressable>
        );
      })}
    </View>
  );
}
