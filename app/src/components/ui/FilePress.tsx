import { createElement, useRef } from 'react';
import { Press } from './Press';

interface FilePressProps {
  title: string;
  /** What the file is, for those who hear the page. */
  label: string;
  /** Which files are offered, as browsers name them. */
  accept: string;
  kind?: 'plain' | 'link';
  onFile: (file: File) => void;
}

/** Asks for a file of this device. */
export function FilePress({ title, label, accept, kind = 'plain', onFile }: FilePressProps) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      {createElement('input', {
        ref: input,
        type: 'file',
        accept,
        'aria-label': label,
        style: { display: 'none' },
        onChange: (event: { target: HTMLInputElement }) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) onFile(file);
        },
      })}
      <Press kind={kind} title={title} onPress={() => input.current?.click()} />
    </>
  );
}
