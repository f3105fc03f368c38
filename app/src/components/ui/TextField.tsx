import { FIELD_LETTERS } from '@zt/core/model/fields/unread';
import { type Ref, useEffect, useId, useState } from 'react';
import { type TextInput, View } from 'react-native';
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
  keyboard?: 'text' | 'decimal' | 'none';
  /** The line is being touched: before it has the focus. */
  onTouch?: () => void;
  /** The finger that touched it is lifted. */
  onLift?: () => void;
  onFocused?: (focused: boolean) => void;
  inputRef?: Ref<TextInput>;
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
  onTouch,
  onLift,
  onFocused,
  inputRef,
}: TextFieldProps) {
  const p = usePalette();
  const [draft, setDraft] = useState(value);
  const [focused, setFocused] = useState(false);
  const saidId = useId();
  const isSaid = Boolean(error || hint);
  useEffect(() => {
    if (!focused) setDraft(value);
  }, [value, focused]);
  // By the keys of the tape keypad it is changed while it has the focus: whoever lends it keeps its draft.
  const byKeys = keyboard === 'none';
  return (
    <View style={grow ? { flex: 1 } : undefined}>
      <Txt as="label" tone="graphite">
        {label}
      </Txt>
      <Input
        aria-label={label}
        aria-invalid={Boolean(error)}
        {...(isSaid ? { 'aria-describedby': saidId } : {})}
        value={byKeys ? value : draft}
        onChangeText={(text) => {
          setDraft(text);
          onText(text);
        }}
        {...(inputRef ? { ref: inputRef as never } : {})}
        onPointerDown={(event) => {
          if (event.nativeEvent.pointerType === 'touch') onTouch?.();
        }}
        {...(onLift ? { onClick: onLift } : {})}
        onFocus={() => {
          setFocused(true);
          onFocused?.(true);
        }}
        onBlur={() => {
          setFocused(false);
          onFocused?.(false);
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
        <Txt as="small" tone="madder" live id={saidId}>
          {error}
        </Txt>
      ) : hint ? (
        <Txt as="small" tone="graphite" id={saidId}>
          {hint}
        </Txt>
      ) : null}
    </View>
  );
}
