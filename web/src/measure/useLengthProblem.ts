import { useBenchCore } from '../benchcore/useBenchCore';
import { useDisplayUnit } from '../frame/signedIn';

/** What is wrong with a text as a length, told before it is kept: what is kept must not be turned down later. */
export function useLengthProblem(): (text: string) => string | undefined {
  const core = useBenchCore();
  const unit = useDisplayUnit();
  return (text) => {
    const said = core?.read('mark1', text, unit);
    return said !== undefined && 'problem' in said ? said.problem : undefined;
  };
}
