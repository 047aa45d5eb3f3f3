import { useBending, type LayoutAnswer, type LayoutRequest } from '../api/queries';
import { BendingSteps } from '../bench/BendingSteps';

/** How a layout is bent, one step after the other, as whoever stands there sees it. */
export function BendingShown({
  request,
  plan,
  diameter,
}: {
  request: LayoutRequest;
  plan: LayoutAnswer;
  diameter: number;
}) {
  const bending = useBending(request);
  return bending.data === undefined || bending.data.length !== plan.steps.length ? (
    <p className="p-6 text-xl" role="status">
      {bending.error?.message ?? 'Putting it into the shoe…'}
    </p>
  ) : (
    <BendingSteps bends={bending.data} plan={plan} diameter={diameter} />
  );
}
