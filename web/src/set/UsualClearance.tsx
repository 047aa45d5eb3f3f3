import { useEffect } from 'react';
import { useTables } from '../api/queries';
import { exactText } from '../entry/figures';
import { Select } from '../frame/Select';
import type { Draft } from './draft';

const CLEARANCES = {
  none: 'None',
  finger: 'A finger’s width',
  inch: 'One inch',
  wholeInch: 'Up to the whole inch',
} as const;

/** What schools usually add to a measured height or rise; up to the whole inch follows what was measured. */
export function UsualClearance({
  measuredIn,
  unit,
  text,
  following,
  onTake,
  onFollow,
}: {
  measuredIn: number | undefined;
  unit: Draft['unit'];
  /** The clearance as it stands. */
  text: string;
  following: boolean;
  onTake: (text: string, toWholeInch: boolean) => void;
  /** It went along with what was measured: nothing that anybody did, so no step that could be taken back. */
  onFollow: (text: string) => void;
}) {
  const tables = useTables(measuredIn);
  const clearances = tables.data?.clearances;
  const whole =
    measuredIn === undefined ? undefined : clearances?.find(({ name }) => name === 'wholeInch')?.clearanceIn;
  const due = following && whole != null ? exactText(whole, unit) : text;
  useEffect(() => {
    if (due !== text) {
      onFollow(due);
    }
  }, [due, text, onFollow]);
  return (
    <Select
      label="Usual clearance"
      value={following ? 'wholeInch' : ''}
      onChange={(name) => {
        const size = clearances?.find((each) => each.name === name)?.clearanceIn;
        if (size != null) {
          onTake(exactText(size, unit), name === 'wholeInch');
        }
      }}
      options={[
        { value: '', name: 'Take one' },
        ...(clearances ?? []).map(({ name }) => ({ value: name, name: CLEARANCES[name] })),
      ]}
    />
  );
}
