import { type ElevationProps, RunElevation } from './RunElevation';
import { StubElevation } from './StubElevation';

/** A piece in its place, drawn as its kind is best seen: a stub stands on its far leg, everything else lies. */
export function Elevation(props: ElevationProps) {
  if (props.kind !== 'stub90') {
    return <RunElevation {...props} />;
  }
  const { plan, outsideDiameter, made, marked, wanted, notes, exaggeration = 1, faded, at, description } = props;
  return (
    <StubElevation
      asked={plan.shape.centreline}
      made={made}
      marked={marked}
      wanted={wanted}
      around={plan.around}
      notes={notes}
      exaggeration={exaggeration}
      faded={faded === true}
      outsideDiameter={outsideDiameter}
      markIn={plan.marks[0]?.positionIn}
      description={description}
      at={at}
    />
  );
}
