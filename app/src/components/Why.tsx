import type { DisplayUnits } from '@zt/core/base/units/length';
import { say } from '@zt/core/base/units/phrase';
import { questionText } from '@zt/core/catalogue/schools';
import type { Reason } from '@zt/core/model/reason';
import { Disclosure } from './ui/Disclosure';
import { Txt } from './ui/Txt';

interface WhyProps {
  reasons: readonly (Reason | undefined)[];
  units: DisplayUnits;
  title?: string;
  /** What is being asked about, for those who listen. */
  about: string;
}

/** The arithmetic with the maker's own figures, the rule, and the school that decided. */
export function Why({ reasons, units, title = 'why?', about }: WhyProps) {
  const given = reasons.flatMap((reason) => reason ?? []);
  if (given.length === 0) return null;
  return (
    <Disclosure title={title} label={`why ${about}?`}>
      {given.map((reason) => (
        <WhyOne key={reason.about} reason={reason} units={units} />
      ))}
    </Disclosure>
  );
}

function WhyOne({ reason, units }: { reason: Reason; units: DisplayUnits }) {
  return (
    <>
      <Txt as="strong">{say(reason.text, units)}</Txt>
      {reason.arithmetic.map((line) => (
        <Txt key={say(line, units)} as="small">
          {say(line, units)}
        </Txt>
      ))}
      {reason.school ? (
        <Txt as="small" tone="graphite">
          {`${questionText(reason.school.question)}: ${reason.school.chosen}. Others: ${reason.school.others.join(' · ')}.`}
        </Txt>
      ) : null}
      {reason.gaveWay && reason.gaveWay.length > 0 ? (
        <>
          <Txt as="small">Also spoke, and gave way:</Txt>
          {reason.gaveWay.map((line, i) => (
            <Txt key={i} as="small" tone="graphite">
              {say(line, units)}
            </Txt>
          ))}
        </>
      ) : null}
    </>
  );
}
