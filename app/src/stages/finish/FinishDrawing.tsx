import { layersLeft } from '@zt/core/stages/finish/layersLeft';
import { useMemo } from 'react';
import { usePlan, useTicket } from '../../hooks/useTicket';
import { StackDrawing } from '../layers/LayersDrawing';

/** The stack cut through, without what the steps that are done took away. */
export function FinishDrawing() {
  const { layers } = usePlan('layers');
  const { finish } = useTicket('finish');
  const left = useMemo(() => layers && layersLeft(layers, finish.done), [layers, finish.done]);
  return left ? <StackDrawing stack={left} /> : null;
}
