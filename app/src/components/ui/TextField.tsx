import { FIELD_LETTERS } from '@zt/core';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { usePalette } from '../../theme/palette';
import { Input } from './elements';
import { Txt } from './Txt';

export interface TextFieldProps {
  label: string;
  value: string;
  /** Called with every change of the text. */
  onText: (text: string) => void;
  onDone?: () => void;
  /** Enter was pressed. */
  onSubmit?: () => void;
  autoFocus?: boolean;
  /** For figures read at arm's length. */
  large?: boolean;
  placeholder?: string;
  hint?: string | undefined;
  error?: string | null;
  multiline?: boolean;
  keyboard?: 'text' | 'decimal';
  grow?: boolean;
}

const LARGE = { minHeight: 56, fontSize: 28 };
const LINES = { minHeight: 72 };

/** A line of text. The draft lives here while it is typed; what came from outside replaces it. */
export function TextField({
  label,
  value,
  onText,
  onDone,
  onSubmit,
  autoFocus = false,
  large = false,
  placeholder,
  hint,
  error,
  multiline = false,
  keyboard = 'text',
  grow = false,
}: TextFieldProps) {
  const p = usePalette();
  const [draft, setDraft] = useState(value);
  const [focused, setFocused] = useState(false);
  useEffect(() => {
    if (!focused) setDraft(value);
  }, [value, focused]);
  return (
    <View style={grow ? { flex: 1 } : undefined}>
      <Txt as="label" tone="graphite">
        {label}
      </Txt>
      <Input
        aria-label={label}
        value={draft}
        onChangeText={(text) => {
          setDraft(text);
          onText(text);
        }}
        onFocus={() => setFocused(true)}
        onBlur={() => {
          setFocused(false);
          onDone?.();
        }}
        onSubmitEditing={() => {
          onDone?.();
          onSubmit?.();
        }}
        autoFocus={autoFocus}
        placeholder={placeholder}
        multiline={multiline}
        inputMode={keyboard}
        maxLength={FIELD_LETTERS}
        inputContainerStyle={error ? { borderColor: p.madder } : {}}
        inputStyle={large ? LARGE : multiline ? LINES : {}}
      />
      {error ? (
        <Txt as="small" tone="madder" live>
          {error}
        </Txt>
      ) : hint ? (
        <Txt as="small" tone="graphite">
          {hint}
        </Txt>
      ) : null}
    </View>
  );
}
