import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, body, type Problem, type Schemas } from '../api/client';
import { Beside } from '../frame/Beside';
import { BUTTON } from '../library/button';
import { CameraCode } from './CameraCode';
import { day } from './days';
import { ServerStand } from './ServerStand';

type NetworkView = Schemas['NetworkView'];
type WhereReached = Schemas['WhereReached'];

/** How other devices reach the server. */
export function ServerSide() {
  const client = useQueryClient();
  const network = useQuery<NetworkView, Problem>({
    queryKey: ['network'],
    queryFn: () => body(api.GET('/api/network')),
  });
  const share = useMutation<NetworkView, Problem, boolean>({
    mutationFn: (shared) => body(api.PUT('/api/network', { body: { shared } })),
    onSuccess: (now) => {
      client.setQueryData(['network'], now);
    },
  });
  if (network.data === undefined) {
    return (
      <p className="p-4 text-lg" role={network.error === null ? 'status' : 'alert'}>
        {network.error?.message ?? 'Opening…'}
      </p>
    );
  }
  const { changeable, whyNot } = network.data;
  const reached = network.data.reached ?? undefined;
  return (
    <div
      className="min-h-0 flex-1 overflow-y-auto p-4 text-lg leading-snug"
      tabIndex={0}
      role="region"
      aria-label="The server"
    >
      <ServerStand />
      <hr className="my-5 border-base-300" />
      {reached === undefined ? <NotReached network={network.data} /> : <Reached reached={reached} />}
      <div className="mt-5 grid max-w-[42rem] justify-items-start gap-2 border-t border-base-300 pt-4">
        {changeable ? (
          <button
            type="button"
            className={reached === undefined ? 'btn h-12 btn-neutral text-lg' : BUTTON}
            disabled={share.isPending}
            onClick={() => {
              share.mutate(reached === undefined);
            }}
          >
            {share.isPending
              ? 'One moment…'
              : reached === undefined
                ? 'Have other devices reach it'
                : 'Have this machine alone reach it again'}
          </button>
        ) : (
          <p>{whyNot}.</p>
        )}
        <Beside problem={share.error?.message} />
      </div>
    </div>
  );
}

function NotReached({ network }: { network: NetworkView }) {
  return (
    <section aria-label="Reached by" className="grid max-w-[42rem] gap-2">
      <h2 className="text-2xl leading-tight font-semibold">Only the machine that runs Lobrik reaches it</h2>
      <p>
        Phones and tablets of the room can: by HTTPS at <b>https://{network.hostName}</b>, port {network.securePort},
        with a certificate that Lobrik makes for your school. Each device is told once to trust it; a page at port{' '}
        {network.plainPort} shows how. Whoever is on the same network then finds the sign-in; all else stays behind
        names and passwords.
      </p>
      <p>Do it on the network of the school, never on one that everybody may join.</p>
    </section>
  );
}

function Reached({ reached: { secure, plain, codeRows, nameIsOurs, certificate } }: { reached: WhereReached }) {
  return (
    <div className="flex flex-wrap gap-x-10 gap-y-6">
      {!certificate.schools && (
        <section aria-label="A new device" className="w-72">
          <h2 className="text-2xl leading-tight font-semibold">A new device</h2>
          {codeRows === null || codeRows === undefined ? (
            <p className="mt-2">This machine has no address on a network just now.</p>
          ) : (
            <>
              <div className="mt-2">
                <CameraCode rows={codeRows} label="Code that leads to the page that explains" width="w-full" />
              </div>
              <p className="mt-2">Scan this with its camera, or type the address. The page shows what to do, once.</p>
            </>
          )}
          <ul className="figures mt-1 text-lg break-all">
            {plain.map((address) => (
              <li key={address}>{address}</li>
            ))}
          </ul>
        </section>
      )}
      <div className="grid max-w-[34rem] min-w-0 flex-1 basis-80 content-start gap-5">
        <section aria-label="Reached at">
          <h2 className="text-2xl leading-tight font-semibold">Reached at</h2>
          <ul className="mt-1">
            {secure.map((address) => (
              <li key={address} className="text-[1.6rem] leading-snug font-semibold break-all">
                {address}
              </li>
            ))}
          </ul>
          {!nameIsOurs && (
            <p className="mt-1">
              ▲ Something else on this network has the same name. Use the address with figures, or have whoever runs
              Lobrik start it with another name.
            </p>
          )}
          <p className="mt-1">The codes on sheets lead to the first.</p>
        </section>
        <section aria-label="The certificate">
          <h2 className="text-2xl leading-tight font-semibold">
            {certificate.schools ? 'The school’s certificate' : 'The fingerprint that devices must show'}
          </h2>
          <p className="figures mt-1 text-xl leading-normal select-all">{certificate.fingerprint}</p>
          <p className="mt-1">
            {certificate.schools
              ? `It ends on ${day(certificate.endsAt)}; put the new one in its place before, and it is shown at once.`
              : 'A device that shows another has taken it from somebody else: take it off that device again. Lobrik renews what it shows by itself; devices need nothing more.'}
          </p>
        </section>
      </div>
    </div>
  );
}
