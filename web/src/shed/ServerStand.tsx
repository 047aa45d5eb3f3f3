import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, body, type Problem, type Schemas } from '../api/client';
import { ago, bytesInWords } from './backupWords';
import { moment } from './days';

const ASKED_EACH_MILLIS = 15_000;

/** Whether the server is well, in what a lead can do something about. */
export function ServerStand() {
  const server = useQuery<Schemas['ServerStanding'], Problem>({
    queryKey: ['server'],
    queryFn: () => body(api.GET('/api/server')),
    refetchInterval: ASKED_EACH_MILLIS,
  });
  if (server.data === undefined) {
    return <p role={server.error === null ? 'status' : 'alert'}>{server.error?.message ?? 'Looking…'}</p>;
  }
  const { concerns, since, diskFreeBytes, diskBytes, databaseBytes, answersMillis, connected, servers } = server.data;
  return (
    <section aria-label="How it is" className="grid max-w-[60rem] gap-3">
      {concerns.length === 0 ? (
        <h2 className="text-[1.7rem] leading-tight font-semibold">● All is well</h2>
      ) : (
        <ul className="grid gap-1">
          {concerns.map((concern) => (
            <li key={concern} className="rounded-field bg-warning px-3 py-2 font-semibold text-warning-content">
              ▲ {concern}.
            </li>
          ))}
        </ul>
      )}
      <dl className="flex flex-wrap gap-x-10 gap-y-3">
        <Figure name="Free on the disk" figure={bytesInWords(diskFreeBytes)} about={`of ${bytesInWords(diskBytes)}`} />
        <Figure
          name="The record"
          figure={bytesInWords(databaseBytes)}
          about={`answers in ${String(answersMillis)} ms`}
        />
        <Figure
          name="Last backup"
          figure={lastBackupInWords(server.data)}
          about={
            <Link to="/shed?side=backups" className="underline underline-offset-4">
              Backups
            </Link>
          }
        />
        <Figure name="Started" figure={ago(since)} about={moment(since)} />
        {servers > 1 ? (
          <Figure name="Servers" figure={String(servers)} about="Disk and start are of the one that answered" />
        ) : null}
      </dl>
      <p>
        {connected.length === 0
          ? 'Nobody was here in the last five minutes.'
          : `Here in the last five minutes: ${connected
              .map(
                ({ fullName, devices }) =>
                  `${fullName} (on ${String(devices)} ${devices === 1 ? 'device' : 'devices'})`,
              )
              .join(', ')}.`}
      </p>
    </section>
  );
}

function lastBackupInWords({ lastBackup, backupsElsewhere }: Schemas['ServerStanding']) {
  if (lastBackup !== null && lastBackup !== undefined) {
    return ago(lastBackup);
  }
  return backupsElsewhere ? 'at another server' : 'none';
}

function Figure({ name, figure, about }: { name: string; figure: string; about: React.ReactNode }) {
  return (
    <div>
      <dt className="text-base">{name}</dt>
      <dd className="figures text-[1.6rem] leading-tight font-semibold">{figure}</dd>
      <dd className="text-base">{about}</dd>
    </div>
  );
}
