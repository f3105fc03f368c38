/** The nine stages in the order of work. One word each: on the tape, in folders, URLs and types. */
export const STAGES = [
  'piece',
  'design',
  'place',
  'hoop',
  'layers',
  'mount',
  'stitch',
  'finish',
  'log',
] as const;
export type Stage = (typeof STAGES)[number];

export const STAGE_QUESTIONS: Record<Stage, string> = {
  piece: 'What is it, of what fabric, how big is it really?',
  design: 'What goes on it, how big, how dense, which way is up?',
  place: 'Where exactly, and how do I find that spot?',
  hoop: 'Which hoop, hooped or floated, does it fit?',
  layers: 'What supports it, what holds it, which needle and thread?',
  mount: 'Which way round on the machine, what do I key in?',
  stitch: 'In what order, how long, will the bobbin last?',
  finish: 'What is trimmed, torn, soaked, pressed?',
  log: 'How was it really done, and how did it come out?',
};
