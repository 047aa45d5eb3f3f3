import { Link, useParams } from 'react-router';
import type { Schemas } from '../api/client';
import { type TraineePage as Page, useTraineeProgress } from '../api/progress';
import { familyOf } from '../bends/families';
import { useAddress } from '../frame/address';
import { Header } from '../frame/Header';
import { Portrait } from '../frame/Portrait';
import { useDisplayUnit } from '../frame/signedIn';
import { BUTTON } from '../library/button';
import { conduitText } from './conduit';
import { Family } from './Family';
import { useKeptScroll } from './kept';
import { OwnKey } from './OwnKey';
import { SignOffs } from './SignOffs';
import { StandingMark } from './StandingMark';
import { STANDINGS } from './standings';
import { IfMay } from '../frame/IfMay';
import { useAttendance } from '../shed/sessionQueries';

/** A trainee: habits, each family of bends over time, signatures, and what comes next. */
export default function TraineePage() {
  const { traineeId } = useParams();
  const trainee = useTraineeProgress(traineeId);
  const [search, changeAddress] = useAddress();
  const display = useDisplayUnit();
  const box = useKeptScroll(`trainee ${traineeId ?? ''} ${search.get('bend') ?? ''}`, trainee.data !== undefined);
  if (trainee.data === undefined) {
    return (
      <>
        <Header title="Progress" />
        <p className="p-4 text-lg" role={trainee.error === null ? 'status' : 'alert'}>
          {trainee.error?.message ?? 'Opening…'}
        </p>
      </>
    );
  }
  const page = trainee.data;
  const family = page.families.find(({ id }) => id === search.get('bend')) ?? page.families[0];
  return (
    <div className="flex h-full flex-col">
      <Header
        title={page.fullName}
        about={
          <>
            {page.cohortName}
            {page.number != null && `, number ${page.number}`}: {page.pieces} {page.pieces === 1 ? 'piece' : 'pieces'},{' '}
            {page.passes} passed, {conduitText(page.usedIn, display)} of conduit
            {page.wastedIn > 0 && `, ${conduitText(page.wastedIn, display)} wasted`}
          </>
        }
      >
        <Link to={`/progress?cohort=${page.cohortId}`} className={`${BUTTON} grid place-items-center`}>
          The cohort
        </Link>
        <a href={`/api/trainees/${page.traineeId}/record.pdf`} download className={`${BUTTON} grid place-items-center`}>
          Record of achievement
        </a>
      </Header>
      <div className="flex min-h-0 flex-1 max-lg:flex-col max-lg:overflow-y-auto">
        <Families
          page={page}
          current={family?.id}
          onChoose={(id) => {
            changeAddress({ bend: id });
          }}
        />
        <div ref={box} className="min-w-0 flex-1 overflow-y-auto p-4 pt-2 max-lg:overflow-visible">
          <Habits page={page} />
          {family === undefined ? (
            <p className="py-6 text-xl">Nothing is measured to the end yet. The first piece that is, shows here.</p>
          ) : (
            <Family
              key={family.id}
              family={family}
              first={page.habits.find((habit) => habit.family === family.id && habit.feature != null)?.feature}
            />
          )}
        </div>
        <aside className="w-[20rem] shrink-0 overflow-y-auto border-base-300 bg-base-200 p-3 max-lg:w-full max-lg:overflow-visible max-lg:border-t lg:border-l">
          <Portrait id={page.traineeId} portraitAt={page.portraitAt} className="mb-3 size-32" />
          <Attendance traineeId={page.traineeId} />
          <SignOffs page={page} family={family} />
          <IfMay right="TEACH">
            <OwnKey page={page} />
          </IfMay>
        </aside>
      </div>
    </div>
  );
}

/** How often they were there, where anybody noted it. */
function Attendance({ traineeId }: { traineeId: string }) {
  const { data } = useAttendance(traineeId);
  const all = data === undefined ? 0 : data.here + data.late + data.excused + data.away;
  if (data === undefined || all === 0) {
    return null;
  }
  const parts = [
    data.late > 0 && `${String(data.late)} late`,
    data.excused > 0 && `${String(data.excused)} excused`,
    data.away > 0 && `${String(data.away)} away`,
  ].filter((part) => part !== false);
  return (
    <p className="mb-2 text-lg leading-snug">
      There at {data.here + data.late} of {all} sessions{parts.length > 0 && `: ${parts.join(', ')}`}.
    </p>
  );
}

/** What the hands do as a rule, each with its evidence, and what to bend next. */
function Habits({ page }: { page: Page }) {
  const { habits, next } = page;
  return (
    <section aria-label="Habits and what comes next" className="border-b-2 border-base-content/60 pb-2">
      <ul>
        {habits.map((habit) => (
          <li key={habit.sentence} className="leading-snug">
            <span className="text-xl font-semibold">
              <span aria-hidden="true">{habit.persists ? '▲ ' : '▽ '}</span>
              {habit.sentence}
            </span>{' '}
            {habit.evidence}
          </li>
        ))}
        {habits.length === 0 && page.pieces > 0 && (
          <li className="text-lg">No habit stands out: what varies, varies by chance.</li>
        )}
      </ul>
      <p className="mt-1 text-lg leading-snug">
        Next: <b>{familyOf(next.family).name}</b>.{' '}
        {next.reason === 'habit' ? 'To get rid of that habit.' : next.sentence}
      </p>
    </section>
  );
}

function Families({
  page,
  current,
  onChoose,
}: {
  page: Page;
  current: string | undefined;
  onChoose: (id: string) => void;
}) {
  return (
    <nav
      aria-label="Kinds of bend"
      className="w-[13.5rem] shrink-0 overflow-y-auto border-base-300 bg-base-200 max-lg:flex max-lg:w-full max-lg:overflow-x-auto lg:border-r"
    >
      {page.families.map((family) => (
        <FamilyButton
          key={family.id}
          family={family}
          current={family.id === current}
          onChoose={() => {
            onChoose(family.id);
          }}
        />
      ))}
    </nav>
  );
}

function FamilyButton({
  family,
  current,
  onChoose,
}: {
  family: Schemas['FamilyView'];
  current: boolean;
  onChoose: () => void;
}) {
  return (
    <button
      type="button"
      aria-current={current ? 'true' : undefined}
      onClick={onChoose}
      className={`grid w-full gap-0.5 border-b border-base-300 px-3 py-2 text-left leading-tight max-lg:min-w-[11rem] ${
        current ? 'bg-base-100 shadow-[inset_4px_0_0_var(--color-base-content)]' : 'hover:bg-base-300'
      }`}
    >
      <span className="text-lg font-semibold">{familyOf(family.id).name}</span>
      <span className="flex items-center gap-2 text-sm">
        <StandingMark standing={family.standing} wide={44} />
        {STANDINGS[family.standing].name}
      </span>
      <span className="text-sm">
        {family.passes} of {family.pieces} passed
      </span>
    </button>
  );
}
