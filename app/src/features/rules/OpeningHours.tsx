import type { HouseRules } from '@zt/core/model/houseRules';
import { isZone, WEEKDAYS } from '@zt/core/model/openingHours';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { WordsField } from '../../components/ui/WordsField';

/** When somebody is there to work: the day is planned in these hours. */
export function OpeningHours({
  rules,
  onRules,
}: {
  rules: HouseRules;
  onRules: (rules: HouseRules) => void;
}) {
  const { hours } = rules;
  const put = (more: Partial<HouseRules['hours']>) => onRules({ ...rules, hours: { ...hours, ...more } });
  const here = Intl.DateTimeFormat().resolvedOptions().timeZone;
  return (
    <Stack gap={8}>
      <Txt as="small">
        The day is planned in these hours; what lies between two stretches is a break. Written 9:00–12:30,
        13:30–17:00; or closed.
      </Txt>
      {WEEKDAYS.map((day) => (
        <WordsField
          key={day}
          label={day}
          at={`hours.week.${day}`}
          value={hours.week[day]}
          onText={(text) => put({ week: { ...hours.week, [day]: text } })}
          placeholder="closed"
        />
      ))}
      <WordsField
        label="Single days off"
        at="hours.closed"
        value={hours.closed}
        onText={(closed) => put({ closed })}
        placeholder="2026-12-24, 2026-12-31"
      />
      <WordsField
        label="Time zone"
        at="hours.zone"
        value={hours.zone}
        onText={(zone) => put({ zone })}
        hint={isZone(here) ? `Empty: that of this device, ${here}.` : ''}
        placeholder={here}
      />
    </Stack>
  );
}
