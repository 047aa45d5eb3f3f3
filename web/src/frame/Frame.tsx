import {
  CircleHelp,
  Ellipsis,
  Gauge,
  LogOut,
  Moon,
  PencilRuler,
  RefreshCw,
  Ruler,
  Search,
  Sun,
  TrendingUp,
  Users,
  Warehouse,
} from 'lucide-react';
import { lazy, type ReactNode, Suspense, useEffect, useState } from 'react';
import { NavLink, Outlet, useLocation } from 'react-router';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, body } from '../api/client';
import { useMe } from '../api/queries';
import { writesFor } from '../api/writer';
import { useNewVersion } from '../queue/offline';
import { useOutbox, useOutboxState } from '../queue/outboxContext';
import { forgetKnown } from '../queue/store';
import { Waiting } from '../queue/Waiting';
import { SignIn } from '../session/SignIn';
import { BackupNote } from './BackupNote';
import { ClockNote } from './ClockNote';
import { Dialog } from './Dialog';
import { FindPerson } from './FindPerson';
import { FirstSteps } from './FirstSteps';
import { HeldBack } from './HeldBack';
import { IfMay } from './IfMay';
import { Help } from './Help';
import { useMay } from './rights';
import { SecureNote } from './SecureNote';
import { useShortcuts } from './shortcuts';
import { SignedInContext } from './signedIn';
import { useTheme } from './theme';

const PLACES = [
  { to: '/floor', name: 'Floor', icon: Users },
  { to: '/set', name: 'Set', icon: PencilRuler },
  { to: '/measure', name: 'Measure', icon: Ruler },
  { to: '/progress', name: 'Progress', icon: TrendingUp },
  { to: '/shed', name: 'Shed', icon: Warehouse },
] as const;

/** The frame of every screen: the rail with the places, and nothing more. Whoever is not signed in is asked to. */
export function Frame() {
  const me = useMe();
  const [helpOpen, setHelpOpen] = useState(false);
  const [finding, setFinding] = useState(false);
  // Nobody presses anything on the wall, or while a piece is shown to its trainee.
  const { pathname } = useLocation();
  const bare = pathname === '/wall' || pathname.endsWith('/show');
  useShortcuts(
    PLACES.map(({ to }) => to),
    () => {
      setFinding(true);
    },
    () => {
      setHelpOpen(true);
    },
  );
  if (me.isPending) {
    return <p className="p-8 text-xl">Opening Lobrik…</p>;
  }
  if (me.error?.status === 401) {
    return <SignIn />;
  }
  if (me.data === undefined) {
    return (
      <main className="p-8">
        <p role="alert" className="text-xl">
          {me.error?.message}
        </p>
        <button type="button" className="btn mt-4 btn-neutral" onClick={() => void me.refetch()}>
          Try again
        </button>
      </main>
    );
  }
  if (me.data.role === 'TRAINEE') {
    return (
      <SignedInContext value={me.data}>
        <TraineeFrame />
      </SignedInContext>
    );
  }
  return (
    <SignedInContext value={me.data}>
      <SendsForWhoever accountId={me.data.accountId} />
      <div className="flex h-dvh flex-col-reverse overflow-hidden sm:flex-row">
        <a href="#main" className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-base-100 focus:p-3">
          Skip to the screen
        </a>
        {!bare && (
          <Rail
            onFind={() => {
              setFinding(true);
            }}
            onHelp={() => {
              setHelpOpen(true);
            }}
          />
        )}
        <div className="flex min-h-0 min-w-0 flex-1 flex-col">
          {!bare && (
            <IfMay right="LEAD">
              <FirstSteps />
            </IfMay>
          )}
          {!bare && me.data.heldBack && <HeldBack />}
          <main id="main" className="min-h-0 flex-1 overflow-auto" tabIndex={-1}>
            <Outlet />
          </main>
        </div>
      </div>
      {finding && (
        <FindPerson
          onClose={() => {
            setFinding(false);
          }}
        />
      )}
      <Help
        open={helpOpen}
        onClose={() => {
          setHelpOpen(false);
        }}
      />
    </SignedInContext>
  );
}

const TraineeHome = lazy(() => import('../session/TraineeHome'));

/** A trainee has no places to go to: all that is theirs is on one page. */
function TraineeFrame() {
  const { theme, toggle } = useTheme();
  return (
    <>
      <div className="mx-auto flex max-w-2xl justify-end px-2">
        <RailButton
          name={theme === 'film' ? 'Dark' : 'Light'}
          label={theme === 'film' ? 'Dark theme' : 'Light theme'}
          onPress={toggle}
        >
          {theme === 'film' ? <Moon size={20} aria-hidden="true" /> : <Sun size={20} aria-hidden="true" />}
        </RailButton>
        <SignOut />
      </div>
      <Suspense fallback={<p className="p-8 text-xl">Opening…</p>}>
        <TraineeHome />
      </Suspense>
    </>
  );
}

/** What waits goes out in the name of whoever wrote it down, as soon as they are signed in. */
function SendsForWhoever({ accountId }: { accountId: string }) {
  const outbox = useOutbox();
  useEffect(() => {
    writesFor(accountId);
    void outbox.signedIn(accountId);
  }, [outbox, accountId]);
  const client = useQueryClient();
  const { signInNeeded } = useOutboxState();
  useEffect(() => {
    if (signInNeeded) {
      void client.invalidateQueries({ queryKey: ['me'] });
    }
  }, [signInNeeded, client]);
  return null;
}

function Rail({ onFind, onHelp }: { onFind: () => void; onHelp: () => void }) {
  const { theme, toggle } = useTheme();
  const update = useNewVersion();
  const measures = useMay('MEASURE');
  const [more, setMore] = useState(false);
  const closeMore = () => {
    setMore(false);
  };
  const tools = (
    <>
      <RailButton name="Find" label="Find somebody of any cohort" onPress={onFind}>
        <Search size={20} aria-hidden="true" />
      </RailButton>
      <UnitSwitch />
      <RailButton
        name={theme === 'film' ? 'Dark' : 'Light'}
        label={theme === 'film' ? 'Dark theme' : 'Light theme'}
        onPress={toggle}
      >
        {theme === 'film' ? <Moon size={20} aria-hidden="true" /> : <Sun size={20} aria-hidden="true" />}
      </RailButton>
      <RailButton name="Help" label="Help" onPress={onHelp}>
        <CircleHelp size={20} aria-hidden="true" />
      </RailButton>
      <SignOut />
    </>
  );
  return (
    <nav
      aria-label="Places"
      className="flex shrink-0 border-base-300 bg-base-200 max-sm:border-t sm:w-[4.6rem] sm:flex-col sm:border-r"
    >
      <div className="flex justify-center pt-3 pb-2 max-sm:hidden">
        <img src="/mark.svg" alt="Lobrik" width={38} height={38} />
      </div>
      {PLACES.filter(({ to }) => to !== '/measure' || measures).map(({ to, name, icon: Icon }) => (
        <NavLink
          key={to}
          to={to}
          className={({ isActive }) =>
            `flex min-h-14 flex-col items-center justify-center gap-0.5 text-[0.82rem] max-sm:flex-1 ${
              isActive ? 'bg-base-content font-semibold text-base-100' : 'hover:bg-base-300'
            }`
          }
        >
          <Icon size={22} aria-hidden="true" />
          {name}
        </NavLink>
      ))}
      <div className="flex sm:mt-auto sm:flex-col">
        <Waiting />
        <ClockNote />
        <SecureNote />
        <BackupNote />
        {update !== undefined && (
          <RailButton name="New version" label="Take the new version of Lobrik into use" onPress={update}>
            <RefreshCw size={20} aria-hidden="true" />
          </RailButton>
        )}
        <div className="contents max-sm:hidden">{tools}</div>
        <div className="sm:hidden">
          <RailButton
            name="More"
            label="More: find, units, theme, help, sign out"
            onPress={() => {
              setMore(true);
            }}
          >
            <Ellipsis size={22} aria-hidden="true" />
          </RailButton>
        </div>
      </div>
      {more && (
        <Dialog title="More" onClose={closeMore}>
          {/* Whatever is pressed is done: nobody has to close this as well. */}
          <div className="grid grid-cols-3 gap-2" onClick={closeMore} role="presentation">
            {tools}
          </div>
        </Dialog>
      )}
    </nav>
  );
}

function RailButton({
  name,
  label,
  onPress,
  children,
}: {
  name: string;
  label: string;
  onPress: () => void;
  children: ReactNode;
}) {
  return (
    <button
      type="button"
      onClick={onPress}
      aria-label={label}
      className="flex min-h-14 min-w-12 flex-col items-center justify-center gap-0.5 text-[0.82rem] hover:bg-base-300 sm:min-h-12"
    >
      {children}
      <span>{name}</span>
    </button>
  );
}

/** Inches or millimetres, for this account, everywhere. */
function UnitSwitch() {
  const client = useQueryClient();
  const me = useMe();
  const other = me.data?.unit === 'mm' ? 'in' : 'mm';
  const prefer = useMutation({
    mutationFn: () => body(api.PUT('/api/me/preferences', { body: { unit: other } })),
    onSuccess: (changed) => client.setQueryData(['me'], changed),
  });
  return (
    <RailButton
      name={me.data?.unit === 'mm' ? 'mm' : 'inch'}
      label={`Lengths in ${me.data?.unit === 'mm' ? 'millimetres' : 'inches'}; change to ${other === 'mm' ? 'millimetres' : 'inches'}`}
      onPress={() => {
        prefer.mutate();
      }}
    >
      <Gauge size={20} aria-hidden="true" />
    </RailButton>
  );
}

function SignOut() {
  const client = useQueryClient();
  const me = useMe();
  const signOut = useMutation({
    mutationFn: () => body(api.DELETE('/api/session')),
    onSettled: async () => {
      await forgetKnown();
      client.clear();
      await client.invalidateQueries();
      window.location.assign('/');
    },
  });
  return (
    <RailButton
      name="Sign out"
      label={`Sign out ${me.data?.fullName ?? ''}`}
      onPress={() => {
        signOut.mutate();
      }}
    >
      <LogOut size={20} aria-hidden="true" />
    </RailButton>
  );
}
