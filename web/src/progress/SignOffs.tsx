import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, body, Problem, type Schemas } from '../api/client';
import { newId } from '../api/newId';
import type { TraineePage } from '../api/progress';
import { familyOf, inSentence } from '../bends/families';
import { Dialog } from '../frame/Dialog';
import { useSignedIn } from '../frame/signedIn';
import { BUTTON } from '../library/button';
import { IfMay } from '../frame/IfMay';

type Signature = Schemas['SignOffView'];

/** Signing somebody off in the family of bends that is shown, and every signature there ever was. */
export function SignOffs({ page, family }: { page: TraineePage; family: Schemas['FamilyView'] | undefined }) {
  const [signing, setSigning] = useState(false);
  const [withdrawn, setWithdrawn] = useState<Signature>();
  const standing = page.signOffs.find((each) => each.family === family?.id && each.withdrawal == null);
  return (
    <section aria-label="Sign-off">
      {family !== undefined && (
        <>
          <h2 className="text-xl leading-tight font-semibold">Sign-off: {inSentence(family.id)}</h2>
          {standing === undefined ? (
            <>
              <ul className="mt-1 text-lg leading-snug">
                {family.conditions.map(({ words, met }) => (
                  <li key={words}>
                    <span aria-label={met ? 'there' : 'not there yet'} role="img" className={met ? 'text-success' : ''}>
                      {met ? '●' : '○'}
                    </span>{' '}
                    {words}
                  </li>
                ))}
              </ul>
              <IfMay right="SIGN">
                <button
                  type="button"
                  className={`btn mt-2 h-12 w-full text-lg ${family.standing === 'ready' ? 'btn-primary' : 'border-2 border-base-content/60'}`}
                  onClick={() => {
                    setSigning(true);
                  }}
                >
                  {family.standing === 'ready' ? 'Sign off…' : 'Sign off all the same…'}
                </button>
              </IfMay>
            </>
          ) : (
            <p className="mt-1 leading-snug">● Signed by {standing.signedBy}.</p>
          )}
        </>
      )}
      <Signatures signatures={page.signOffs} onWithdraw={setWithdrawn} />
      {signing && family !== undefined && (
        <SignDialog
          page={page}
          family={family}
          onClose={() => {
            setSigning(false);
          }}
        />
      )}
      {withdrawn !== undefined && (
        <WithdrawDialog
          signature={withdrawn}
          onClose={() => {
            setWithdrawn(undefined);
          }}
        />
      )}
    </section>
  );
}

function Signatures({
  signatures,
  onWithdraw,
}: {
  signatures: readonly Signature[];
  onWithdraw: (signature: Signature) => void;
}) {
  if (signatures.length === 0) {
    return null;
  }
  return (
    <>
      <h2 className="mt-4 text-xl leading-tight font-semibold">Signatures</h2>
      <ul className="grid gap-2">
        {signatures.map((signature) => (
          <li key={signature.id} className="border-t border-base-content/40 pt-1 leading-tight">
            <span className={signature.withdrawal == null ? 'font-semibold' : 'line-through'}>
              {familyOf(signature.family).name}
            </span>
            <span className="block text-sm leading-snug">
              {signature.signedBy}, {moment(signature.signedAt)}, on {signature.evidence.length}{' '}
              {signature.evidence.length === 1 ? 'piece' : 'pieces'}
              {!signature.met && `, on own judgement: ${signature.remark}`}
              {signature.met && signature.remark !== '' && `. ${signature.remark}`}
            </span>
            {signature.evidence.length > 0 && (
              <details>
                <summary className="cursor-pointer text-sm underline underline-offset-4">The evidence</summary>
                <PiecesOf pieces={signature.evidence} />
              </details>
            )}
            {signature.changed.length > 0 && (
              <span className="block text-sm leading-snug">
                ▲ {signature.changed.length === 1 ? 'One piece' : `${String(signature.changed.length)} pieces`} of the
                evidence came to something else since.
              </span>
            )}
            {signature.against != null && (
              <span className="block leading-snug">
                ▲ {signature.against.failed} of the last {signature.against.pieces} pieces since it was signed failed.
                It stands; look at it again.
              </span>
            )}
            {signature.withdrawal == null ? (
              <IfMay right="SIGN">
                <button
                  type="button"
                  className={`${BUTTON} mt-1 min-h-9 text-sm`}
                  aria-label={`Withdraw the signature: ${familyOf(signature.family).name}`}
                  onClick={() => {
                    onWithdraw(signature);
                  }}
                >
                  Withdraw…
                </button>
              </IfMay>
            ) : (
              <span className="block text-sm leading-snug">
                ✕ Withdrawn by {signature.withdrawal.by}, {moment(signature.withdrawal.at)}:{' '}
                {signature.withdrawal.reason}
              </span>
            )}
          </li>
        ))}
      </ul>
    </>
  );
}

/** The pieces that a signature is given on, each with its verdict. */
function PiecesOf({
  pieces,
}: {
  pieces: readonly { attemptId: string; title: string; measuredAt: string; points: number }[];
}) {
  return (
    <ul className="leading-snug">
      {pieces.map(({ attemptId, title, measuredAt, points }) => (
        <li key={attemptId} className="flex justify-between gap-3">
          <Link to={`/verdict/${attemptId}`} className="truncate underline underline-offset-4">
            {title}
          </Link>
          <span className="figures whitespace-nowrap">
            {moment(measuredAt)}, {Math.round(points)}
          </span>
        </li>
      ))}
    </ul>
  );
}

function moment(at: string): string {
  return new Date(at).toLocaleDateString([], { day: 'numeric', month: 'short', year: 'numeric' });
}

/** Changes of a trainee's record answer with the whole page. */
function useChange<T>(change: (what: T) => Promise<TraineePage>, onDone: () => void) {
  const client = useQueryClient();
  return useMutation<TraineePage, Problem, T>({
    mutationFn: change,
    onSuccess: (page) => {
      client.setQueryData(['progress', 'trainee', page.traineeId], page);
      void client.invalidateQueries({ queryKey: ['progress', 'matrix'] });
      void client.invalidateQueries({ queryKey: ['progress', 'plan'] });
      onDone();
    },
  });
}

function SignDialog({
  page,
  family,
  onClose,
}: {
  page: TraineePage;
  family: Schemas['FamilyView'];
  onClose: () => void;
}) {
  const me = useSignedIn();
  const [remark, setRemark] = useState('');
  const [key] = useState(() => newId());
  const ready = family.standing === 'ready';
  const sign = useChange<string>(
    (said) =>
      body(
        api.PUT('/api/trainees/{id}/sign-offs/{key}', {
          params: { path: { id: page.traineeId, key } },
          body: { family: family.id, remark: said },
        }),
      ),
    onClose,
  );
  return (
    <Dialog title={`Sign ${page.fullName} off`} onClose={onClose}>
      <form
        className="grid gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          sign.mutate(remark);
        }}
      >
        <p className="text-lg leading-snug">
          I, <b>{me.fullName}</b>, sign that {page.fullName} bends a <b>{inSentence(family.id)}</b> by themselves. Name,
          time, the rule and the pieces are kept with it.
        </p>
        <PiecesOf
          pieces={family.history
            .filter(({ attemptId }) => family.evidence.includes(attemptId))
            .map(({ attemptId, title, measuredAt, points }) => ({ attemptId, title, measuredAt, points }))}
        />
        {!ready && (
          <p className="leading-snug">
            ▲ Not everything that the rule asks is there:{' '}
            {family.conditions
              .filter(({ met }) => !met)
              .map(({ words }) => words)
              .join(', ')}
            . Say why you sign all the same.
          </p>
        )}
        <label className="grid gap-1">
          {ready ? 'Remark, if you like' : 'Why'}
          <input
            value={remark}
            maxLength={300}
            required={!ready}
            onChange={(event) => {
              setRemark(event.target.value);
            }}
            className="h-12 rounded-field border-2 border-base-content/60 bg-base-100 px-3 text-lg"
          />
        </label>
        {sign.error !== null && (
          <p role="alert" className="text-error">
            ✕ {sign.error.message}
          </p>
        )}
        <button className="btn h-12 btn-primary text-lg" disabled={sign.isPending}>
          Sign
        </button>
      </form>
    </Dialog>
  );
}

function WithdrawDialog({ signature, onClose }: { signature: Signature; onClose: () => void }) {
  const [reason, setReason] = useState('');
  const withdraw = useChange<string>(
    (said) =>
      body(
        api.PUT('/api/sign-offs/{id}/withdrawal', {
          params: { path: { id: signature.id } },
          body: { reason: said },
        }),
      ),
    onClose,
  );
  return (
    <Dialog title="Withdraw the signature" onClose={onClose}>
      <form
        className="grid gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          withdraw.mutate(reason);
        }}
      >
        <p className="leading-snug">The signature and the withdrawal both stay on record, with this reason.</p>
        <label className="grid gap-1">
          Why
          <input
            value={reason}
            maxLength={300}
            required
            onChange={(event) => {
              setReason(event.target.value);
            }}
            className="h-12 rounded-field border-2 border-base-content/60 bg-base-100 px-3 text-lg"
          />
        </label>
        {withdraw.error !== null && (
          <p role="alert" className="text-error">
            ✕ {withdraw.error.message}
          </p>
        )}
        <button className="btn h-12 btn-neutral text-lg" disabled={withdraw.isPending}>
          Withdraw
        </button>
      </form>
    </Dialog>
  );
}
