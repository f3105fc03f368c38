import type { HouseRules } from '@zt/core/model/houseRules';
import { titleOf } from '@zt/core/planner/titleOf';
import { type Href, Link } from 'expo-router';
import { Pressable, View } from 'react-native';
import { dueInWords } from '../../components/dueInWords';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { Thumbnail } from '../../sheet/Thumbnail';
import { STAGE_NAMES } from '../../tape/Tape';
import { usePalette } from '../../theme/palette';
import { type BenchRow, nextLine, stageInHand } from './benchRows';

/** A ticket on the bench: how it looks, what is next or wrong, and for when. */
export function TicketRow({ row, units }: { row: BenchRow; units: HouseRules['units'] }) {
  const p = usePalette();
  const { ticket } = row;
  const stage = stageInHand(row);
  const { text, trouble } = nextLine(row, units);
  const href = `/ticket/${ticket.id}/${stage}` as Href;
  return (
    <Link href={href} asChild>
      <Pressable
        aria-label={[
          `${titleOf(ticket)}, ${STAGE_NAMES[stage]}: ${text}`,
          ticket.customer ? `for ${ticket.customer}` : '',
          ticket.due ? `due ${dueInWords(ticket.due)}` : '',
        ]
          .filter(Boolean)
          .join('; ')}
        style={{
          flexDirection: 'row',
          gap: 14,
          paddingVertical: 12,
          borderBottomWidth: 1,
          borderColor: p.hairline,
          borderStyle: 'dashed',
          flex: 1,
        }}
      >
        <Thumbnail plan={row.plan} />
        <Stack gap={2} grow>
          <Txt as="heading" level={2}>
            {titleOf(ticket)}
          </Txt>
          <Txt
            as="small"
            tone="graphite"
          >{`${ticket.customer || 'for the shelf'} · ${row.plan.piece.fabric.name.toLowerCase()}`}</Txt>
          <Txt as="strong" tone={trouble ? 'madder' : 'ink'}>
            {text}
          </Txt>
          <Row align="middle" spread>
            <View
              style={{
                backgroundColor: p.tape,
                borderWidth: 1.5,
                borderColor: p.onTape,
                borderRadius: 3,
                paddingHorizontal: 8,
                paddingVertical: 2,
              }}
            >
              <Txt
                as="label"
                tone="onTape"
              >{`${row.states.findIndex((s) => s.stage === stage) + 1} ${STAGE_NAMES[stage]}`}</Txt>
            </View>
            <Txt as="small" tone="graphite">
              {dueInWords(ticket.due)}
            </Txt>
          </Row>
        </Stack>
      </Pressable>
    </Link>
  );
}
