import { lazy, Suspense, useState } from 'react';
import { Link, Outlet } from 'react-router';
import { useMakerOverview } from '../../data/maker';
import { useEnter, useSession } from '../../data/session';
import { Button } from '../../shared/ui/button';
import { tellRefused } from '../../data/tell-refused';

const YourPlaces = lazy(async () => ({ default: (await import('../../shared/people/your-places')).YourPlaces }));
const ChangePassword = lazy(async () => ({
  default: (await import('../../shared/people/change-password')).ChangePassword,
}));

/** What stands around the screens of somebody who makes goods for the shop. */
export function MakerFrame() {
  const { data: session } = useSession();
  const { data } = useMakerOverview();
  const { signOut } = useEnter();
  const [opened, setOpened] = useState<'password' | 'places' | null>(null);
  const close = () => setOpened(null);
  return (
    <div className="flex h-full flex-col">
      <header className="flex min-h-[50px] shrink-0 flex-wrap items-center gap-x-3 border-b-4 border-ink bg-edge px-4">
        <Link to="/" className="flex min-w-0 items-baseline gap-2 rounded-md">
          <span className="font-display text-lg font-bold">Your goods</span>
          {data && <span className="min-w-0 truncate text-ink-2">at {data.shopName}</span>}
        </Link>
        <span className="ml-auto flex flex-wrap items-center">
          <Button look="bare" onClick={() => setOpened('places')}>
            Where you are signed in
          </Button>
          <Button look="bare" onClick={() => setOpened('password')}>
            Change your password
          </Button>
          <Button look="bare" onClick={() => signOut.mutate(undefined, { onError: tellRefused })}>
            Sign out {session?.user?.name}
          </Button>
        </span>
      </header>
      <main id="content" className="min-h-0 flex-1 overflow-y-auto">
        <Outlet />
      </main>
      <Suspense>
        {opened === 'password' && <ChangePassword close={close} />}
        {opened === 'places' && <YourPlaces close={close} />}
      </Suspense>
    </div>
  );
}
