import { useQuery, type UseQueryResult } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { useParams } from 'react-router';
import { api, body, type Problem, type Schemas } from '../api/client';
import { familyOf } from '../bends/families';
import { BendGlyph } from '../progress/BendGlyph';
import { PieceMarks, piecesInWords } from '../progress/PieceMarks';
import { StandingMark } from '../progress/StandingMark';
import { STANDINGS } from '../progress/standings';

type Own = Schemas['OwnView'];

/** A trainee's own page: where they stand, what to work on, and what was signed. The key is the code in the address. */
export default function OwnPage() {
  const { code = '' } = useParams();
  const own = useQuery<Own, Problem>({
    queryKey: ['own', code],
    queryFn: () => body(api.GET('/api/own/{code}', { params: { path: { code } } })),
    retry: false,
  });
  return <OwnPageOf own={own} record={`/api/own/${code}/record.pdf`} />;
}

/** The page itself, however its trainee came to it. */
export function OwnPageOf({
  own,
  record,
  children,
}: {
  own: Pick<UseQueryResult<Own, Problem>, 'data' | 'error'>;
  /** Where their record of achievement is. */
  record: string;
  children?: ReactNode;
}) {
  if (own.data === undefined) {
    return (
      <main className="p-5">
        <p className="text-xl" role="status">
          {own.error === null
            ? 'Opening your page…'
            : own.error.status === 404
              ? 'This key opens nothing. Ask your instructor for another.'
              : own.error.message}
        </p>
      </main>
    );
  }
  const { fullName, centreName, pieces, passes, families, habits, next, signOffs } = own.data;
  return (
    <main className="mx-auto flex min-h-dvh max-w-2xl flex-col gap-4 p-4">
      <header>
        <p className="text-lg leading-tight">{centreName}</p>
        <h1 className="text-[2rem] leading-tight font-semibold">{fullName}</h1>
        <p className="text-lg leading-tight">
          {pieces} {pieces === 1 ? 'piece' : 'pieces'} measured, {passes} passed
        </p>
      </header>
      <section aria-label="What to work on" className="border-y-2 border-base-content/60 py-2 text-lg leading-snug">
        {habits.map((habit) => (
          <p key={habit}>
            <span aria-hidden="true">▲ </span>
            {habit}
          </p>
        ))}
        <p>
          Next: <b>{familyOf(next.family).name}</b>.{' '}
          {next.reason === 'habit' ? 'To get rid of that habit.' : next.sentence}
        </p>
      </section>
      <ul>
        {families.map((family) => (
          <li key={family.id} className="grid grid-cols-[1fr_auto] gap-x-3 border-b border-base-300 py-2">
            <span className="flex items-center gap-3 text-xl leading-tight font-semibold">
              <BendGlyph kind={familyOf(family.id).kind} />
              {familyOf(family.id).name}
            </span>
            <span className="flex items-center gap-2">
              <StandingMark standing={family.standing} />
              {STANDINGS[family.standing].name}
            </span>
            {family.recent.length > 0 && (
              <span className="leading-tight">
                <span className="sr-only">{piecesInWords(family.recent)}</span>
                <PieceMarks pieces={family.recent} most={8} />
              </span>
            )}
            {family.standing !== 'signed' && family.pieces > 0 && (
              <span className="text-right text-sm leading-tight">
                {family.conditions.map(({ words, met }) => (
                  <span key={words} className="block">
                    {met ? '●' : '○'} {words}
                  </span>
                ))}
              </span>
            )}
          </li>
        ))}
      </ul>
      <Signed signOffs={signOffs} />
      <a href={record} download className="btn mt-auto h-12 border-2 border-base-content/60 text-lg">
        Record of achievement
      </a>
      {children}
    </main>
  );
}

function Signed({ signOffs }: { signOffs: Own['signOffs'] }) {
  const day = (at: string) => new Date(at).toLocaleDateString([], { dateStyle: 'long' });
  return (
    <ul className="text-lg leading-snug">
      {signOffs.map((signature) => (
        <li key={signature.family + signature.signedAt}>
          {signature.withdrawnAt == null ? '●' : '✕'}{' '}
          <span className={signature.withdrawnAt == null ? '' : 'line-through'}>
            {familyOf(signature.family).name}, signed by {signature.signedBy}, {day(signature.signedAt)}
          </span>
          {signature.withdrawnAt != null && ` withdrawn ${day(signature.withdrawnAt)}: ${signature.reason ?? ''}`}
        </li>
      ))}
    </ul>
  );
}
