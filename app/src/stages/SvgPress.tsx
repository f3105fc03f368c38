import type { PaperName } from '@zt/core/paper/index';
import { useState } from 'react';
import { Press } from '../components/ui/Press';
import { Txt } from '../components/ui/Txt';
import { handOver } from '../hooks/handOver';
import { selectPlan, selectTicket } from '../store/openTicket';
import { selectRules, selectShelf } from '../store/shopNow';
import { useAppStore } from '../store/store';

/** A drawing of the open ticket at true size as SVG, made on this device: it needs nobody's answer. */
export function SvgPress({ paper, title }: { paper: PaperName; title: string }) {
  const store = useAppStore();
  const [why, setWhy] = useState('');
  const make = async () => {
    const { drawingToSvg, PAPER, paperTitle } = await import('@zt/core/paper/index');
    const state = store.getState();
    const printed = {
      ticket: selectTicket(state),
      plan: selectPlan(state),
      shelf: selectShelf(state),
      rules: selectRules(state),
    };
    const drawn = PAPER[paper](printed);
    setWhy(drawn.ok ? '' : drawn.why);
    if (drawn.ok) handOver(drawingToSvg(drawn.drawing, paperTitle(printed)), 'image/svg+xml', `${paper}.svg`);
  };
  return (
    <>
      <Press title={title} onPress={() => void make()} />
      {why === '' ? null : (
        <Txt as="small" tone="madder" live>
          {why}
        </Txt>
      )}
    </>
  );
}
