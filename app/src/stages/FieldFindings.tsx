import { FindingNote } from '../components/FindingNote';
import { useOpenTicket } from '../hooks/useTicket';

/** What is wrong with one input, right below it. */
export function FieldFindings({ field }: { field: string }) {
  const { plan, units, change } = useOpenTicket();
  return plan.findings
    .filter((finding) => finding.field === field)
    .map((finding) => (
      <FindingNote key={finding.code} finding={finding} units={units} onMend={change} quiet />
    ));
}
