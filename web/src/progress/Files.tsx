import type { Schemas } from '../api/client';
import { toldApart } from '../frame/people';
import { BUTTON } from '../library/button';
import { Erase } from './Erase';
import { RosterImport } from './RosterImport';
import { IfMay } from '../frame/IfMay';

/** Out and in: gradebook, readings, learning records, all about one person, a roster; and erasing a person. */
export function Files({ cohort }: { cohort: Schemas['CohortView'] }) {
  const called = toldApart(cohort.trainees);
  return (
    <div className="grid h-full gap-x-8 gap-y-6 overflow-y-auto p-4 xl:grid-cols-2">
      <IfMay
        right="EXPORT"
        otherwise={<p className="text-lg">Taking records out is for instructors, auditors and the lead.</p>}
      >
        <section aria-label="Out">
          <h2 className="text-2xl font-semibold">Out: {cohort.name}</h2>
          <ul className="grid gap-3">
            <FileOut about="A row for each trainee: standing, pieces, passes, scores and signatures for each kind of bend.">
              <Get href={`/api/cohorts/${cohort.id}/gradebook.csv`}>Gradebook, CSV</Get>
              <Get href={`/api/cohorts/${cohort.id}/gradebook.xlsx`}>Gradebook, workbook</Get>
            </FileOut>
            <FileOut about="Every reading that was ever taken, with who took it, when and with what, and what was corrected. The columns are explained in a file of their own.">
              <Get href={`/api/readings.csv?cohort=${cohort.id}`}>Readings, CSV</Get>
              <Get href="/api/readings.csv">Of all cohorts</Get>
              <Get href="/api/readings-columns.csv">What the columns mean</Get>
            </FileOut>
            <FileOut about="For a learning record store: a statement (xAPI) for each finished piece and each signature.">
              <Get href={`/api/cohorts/${cohort.id}/statements.json`}>Learning records</Get>
            </FileOut>
            <FileOut about="Everything that is kept about one person, for that person.">
              <select
                aria-label="Everything about"
                value=""
                onChange={(event) => {
                  if (event.target.value !== '') {
                    window.location.assign(`/api/trainees/${event.target.value}/everything.json`);
                  }
                }}
                className="h-11 rounded-field border-2 border-base-content/60 bg-base-100 px-2"
              >
                <option value="">Everything about…</option>
                {cohort.trainees.map((trainee) => (
                  <option key={trainee.id} value={trainee.id}>
                    {called(trainee)}
                  </option>
                ))}
              </select>
            </FileOut>
          </ul>
        </section>
      </IfMay>
      <div className="grid content-start gap-6">
        <IfMay right="TEACH">
          <RosterImport cohort={cohort} />
        </IfMay>
        <IfMay right="LEAD">
          <Erase cohort={cohort} />
        </IfMay>
      </div>
    </div>
  );
}

function FileOut({ about, children }: { about: string; children: React.ReactNode }) {
  return (
    <li>
      <p className="leading-snug">{about}</p>
      <div className="mt-1 flex flex-wrap gap-2">{children}</div>
    </li>
  );
}

function Get({ href, children }: { href: string; children: React.ReactNode }) {
  return (
    <a href={href} download className={`${BUTTON} grid place-items-center`}>
      {children}
    </a>
  );
}
