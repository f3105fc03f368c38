import { FindingNote } from '../components/FindingNote';
import { usePlan, useTicketActs, useUnits } from '../hooks/useTicket';

interface FieldFindingsProps {
  field: string;
  /** Codes that the field shows in its own way. */
  except?: readonly string[];
}

/** What is wrong with one input, right below it. */
export function FieldFindings({ field, except = [] }: FieldFindingsProps) {
  const plan = usePlan('findings');
  const units = useUnits();
  const { take } = useTicketActs();
  return plan.findings
    .filter((finding) => finding.field === field && !except.includes(finding.code))
    .map((finding) => <FindingNote key={finding.code} finding={finding} units={units} onMend={take} quiet />);
}
