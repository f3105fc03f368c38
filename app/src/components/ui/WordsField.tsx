import { useDraft } from './fields';
import { TextField } from './TextField';

interface WordsFieldProps {
  label: string;
  /** The path of the field in what is saved. */
  at: string;
  value: string;
  onText: (text: string) => void;
  placeholder?: string;
  hint?: string;
  multiline?: boolean;
  grow?: boolean;
}

/** Words, or a day of the calendar, that are saved with what is open. */
export function WordsField({ label, at, value, onText, ...rest }: WordsFieldProps) {
  const draft = useDraft({ at, shown: value, onValue: (read) => onText(String(read)) });
  return <TextField label={label} {...draft.line} {...rest} />;
}
