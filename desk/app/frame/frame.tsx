import { lazy, Suspense, useCallback, useEffect, useMemo, useState } from 'react';
import { Outlet, useLocation, useNavigate } from 'react-router';
import { JobStrip } from '../../features/bulk/job-strip';
import { ErrorBoundary } from './error-boundary';
import { useIsNarrow } from '../../shared/ui/use-media';
import { LeaveGuard } from './leave-guard';
import '../../shared/ui/file-drop';
import { useGoodsAreDragged } from '../../shared/ui/goods-drag';
import { localUndo } from '../../shared/ui/local-undo';
import { useLeftBehind } from '../../shared/ui/where-one-was';
import { useShortcuts, type Shortcut } from '../../shared/keyboard';
import { useLiveUpdates } from '../../data/live-updates';
import { useUndo } from '../../data/session';
import { ShelfEdge } from './shelf-edge';
import { ShopWindow } from './shop-window';
import { Tray } from './tray';
import { WindowContext, type WindowState } from '../../shared/window-state';

const FeaturedOrder = lazy(async () => ({
  default: (await import('../../features/bulk/featured-order')).FeaturedOrder,
}));
const NewProduct = lazy(async () => ({ default: (await import('../../features/goods/new-product')).NewProduct }));
const ShortcutList = lazy(async () => ({ default: (await import('./shortcut-list')).ShortcutList }));

const Extras = lazy(() => import('./extras'));
const HereToo = lazy(async () => ({ default: (await import('./others-here')).HereToo }));
const DropPlaces = lazy(() => import('./drop-places'));
const Drawer = lazy(async () => ({ default: (await import('../../shared/ui/drawer')).Drawer }));

const FIND_ID = 'find-or-do';

/** Screens that are found by what one wants to do there. */
const screens = [
  { words: 'Set-up list', to: '/set-up' },
  { words: 'Bring goods in from a file', to: '/exchange' },
  { words: 'Take goods out as a file', to: '/exchange?part=out' },
  { words: 'Goods on other sites', to: '/shopfront?view=elsewhere' },
  { words: 'Channels and feeds', to: '/exchange?part=channels' },
  { words: 'Keys for programs', to: '/exchange?part=keys' },
  { words: 'Make a backup of the shop', to: '/exchange?part=backups' },
  { words: 'Colours, fonts and look', to: '/shopfront?view=look' },
  { words: 'Logo, icon and notice', to: '/shopfront?view=look&part=signs' },
  { words: 'Cards and badges', to: '/shopfront?view=look&part=cards' },
  { words: 'Filters and layout of listings', to: '/shopfront?view=look&part=listings' },
  { words: 'Layout of product pages', to: '/shopfront?view=look&part=product' },
  { words: 'Menus', to: '/shopfront?view=menu' },
  { words: 'Floor plan', to: '/shopfront?view=floor' },
  { words: 'Exposure', to: '/shopfront?view=exposure' },
  { words: 'Name, currency and tax', to: '/shopfront?view=settings' },
  { words: 'Contact details', to: '/shopfront?view=settings&part=contact' },
  { words: 'Legal pages', to: '/shopfront?view=settings&part=legal' },
  { words: 'Domain', to: '/shopfront?view=settings&part=domain' },
  { words: 'Suppliers and what to order', to: '/suppliers' },
  { words: 'What makers propose', to: '/proposals' },
  { words: 'People and invitations', to: '/shopfront?view=settings&part=people' },
  { words: 'Open or close the shop', to: '/shopfront?view=settings&part=opening' },
] as const;

/** What stands around every desk: shelf edge, shop window, tray, shortcuts. */
export function Frame() {
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const { undo, redo } = useUndo();
  const [isWindowOpen, setWindowOpen] = useState(() => localStorage.getItem('dispona.window.away') !== 'yes');
  const [isKeysOpen, setKeysOpen] = useState(false);
  const [isHelpOpen, setHelpOpen] = useState(false);
  const [isNewOpen, setNewOpen] = useState(false);
  // What was typed into it is still there when it is opened again.
  const [wasNewOpened, setNewOpened] = useState(false);
  if (isNewOpen && !wasNewOpened) setNewOpened(true);
  const [isOrdering, setOrdering] = useState(false);
  const [path, setPath] = useState('/');
  const [note, setNote] = useState<string | null>(null);
  const [unseen, setUnseen] = useState<string | null>(null);
  const [moment, setMoment] = useState<string | null>(null);
  const [edition, setEdition] = useState<WindowState['edition']>(null);
  const [isTaken, setTaken] = useState(false);
  const windowState = useMemo(
    () => ({ path, setPath, note, setNote, unseen, setUnseen, moment, setMoment, edition, setEdition, setTaken }),
    [path, note, unseen, moment, edition],
  );
  const areDragged = useGoodsAreDragged();
  useLiveUpdates();
  useLeftBehind();

  const isNarrow = useIsNarrow();
  const [isOverlay, setOverlay] = useState(false);
  const toggleWindow = useCallback(
    () => (isNarrow ? setOverlay((isOpen) => !isOpen) : setWindowOpen((isOpen) => !isOpen)),
    [isNarrow],
  );
  useEffect(() => localStorage.setItem('dispona.window.away', isWindowOpen ? 'no' : 'yes'), [isWindowOpen]);

  const { mutate: runUndo } = undo;
  const { mutate: runRedo } = redo;
  const shortcuts = useMemo<Shortcut[]>(() => {
    const go = (to: string) => () => void navigate(to);
    return [
      {
        keys: '/',
        words: 'find or do anything',
        opensField: true,
        run: () => document.getElementById(FIND_ID)?.focus(),
      },
      { keys: 'n', words: 'new product', opensField: true, run: () => setNewOpen(true) },
      { keys: 'w', words: 'shop window: put away or bring back', run: toggleWindow },
      { keys: 'g t', words: 'go to Today', run: go('/today') },
      { keys: 'g g', words: 'go to Goods', run: go('/goods') },
      { keys: 'g r', words: 'go to Groups', run: go('/groups') },
      { keys: 'g s', words: 'go to Shopfront', run: go('/shopfront') },
      { keys: 'g p', words: 'go to Prices', run: go('/prices') },
      { keys: 'g w', words: 'go to Words', run: go('/words') },
      { keys: 'g x', words: 'go to Exchange', run: go('/exchange') },
      { keys: 'g o', words: 'go to Orders', run: go('/orders') },
      { keys: 'g l', words: 'go to the review', run: go('/review') },
      { keys: 'g e', words: 'go to the loose ends', run: go('/loose-ends') },
      { keys: 'g h', words: 'go to the history', run: go('/history') },
      { keys: 'mod+z', words: 'undo your last change', run: () => localUndo.undo() || runUndo() },
      { keys: 'shift+mod+z', words: 'redo', run: () => localUndo.redo() || runRedo() },
      { keys: '?', words: 'help', opensField: true, run: () => setHelpOpen(true) },
    ];
  }, [navigate, runUndo, runRedo, toggleWindow]);
  useShortcuts(shortcuts);

  const actions = [
    ...shortcuts
      .filter(({ keys }) => keys !== '/')
      .map(({ words, run }) => ({ words: words.charAt(0).toUpperCase() + words.slice(1), run })),
    { words: 'Put featured goods in order', run: () => setOrdering(true) },
    { words: 'Edit all goods as a sheet', run: () => void navigate('/goods/sheet') },
    ...screens.map(({ words, to }) => ({ words, run: () => void navigate(to) })),
  ];

  return (
    <WindowContext value={windowState}>
      <div className="flex h-full flex-col">
        <a
          href="#content"
          className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:rounded-lg focus:bg-sheet focus:p-3"
          onClick={(event) => {
            event.preventDefault();
            document.getElementById('content')?.focus();
          }}
        >
          To the content
        </a>
        <ShelfEdge
          actions={actions}
          findId={FIND_ID}
          undo={undo}
          redo={redo}
          showHelp={() => setHelpOpen(true)}
          showWindow={toggleWindow}
        />
        <div className="relative flex min-h-0 flex-1">
          {/* Groups and the pages of the shop take goods themselves, and would be covered. */}
          {areDragged && !pathname.startsWith('/groups') && !isTaken && (
            <Suspense>
              <DropPlaces />
            </Suspense>
          )}
          <main id="content" tabIndex={-1} className="flex min-w-0 flex-1 flex-col outline-none">
            <Suspense>
              <HereToo />
            </Suspense>
            <ErrorBoundary resetKey={pathname}>
              <Outlet
                context={{
                  newProduct: () => setNewOpen(true),
                  orderFeatured: () => setOrdering(true),
                  showHelp: () => setHelpOpen(true),
                }}
              />
            </ErrorBoundary>
          </main>
          {isWindowOpen && !isNarrow && !isTaken && <ShopWindow putAway={toggleWindow} />}
        </div>
        <JobStrip />
        <Tray />
      </div>
      <LeaveGuard />
      <Suspense>
        <Extras isHelpOpen={isHelpOpen} closeHelp={() => setHelpOpen(false)} showKeys={() => setKeysOpen(true)} />
      </Suspense>
      <Suspense>
        {isNarrow && isOverlay && (
          <Drawer title="Shop window" isWide close={() => setOverlay(false)}>
            <ShopWindow isAlone putAway={() => setOverlay(false)} />
          </Drawer>
        )}
      </Suspense>
      <Suspense>
        {isKeysOpen && <ShortcutList shortcuts={shortcuts} isOpen close={() => setKeysOpen(false)} />}
        {isOrdering && <FeaturedOrder close={() => setOrdering(false)} />}
        {wasNewOpened && <NewProduct isOpen={isNewOpen} close={() => setNewOpen(false)} />}
      </Suspense>
    </WindowContext>
  );
}
