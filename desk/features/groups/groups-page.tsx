import { FolderTree } from 'lucide-react';
import { useEffect, useState } from 'react';
import { Outlet, useLocation } from 'react-router';
import { Button } from '../../shared/ui/button';
import { Drawer } from '../../shared/ui/drawer';
import { Failed, Loading } from '../../shared/ui/states';
import { useIsPhone } from '../../shared/ui/use-media';
import { CategoryTree } from './category-tree';
import { useGroups } from '../../data/groups';

/** The category tree, and beside it what is open of the groups; on a phone the tree comes out when it is wanted. */
export function GroupsPage() {
  const { data, error, refetch } = useGroups();
  const isPhone = useIsPhone();
  const [isTreeOut, setTreeOut] = useState(false);
  const { pathname } = useLocation();
  useEffect(() => setTreeOut(false), [pathname]);
  if (error && !data) return <Failed error={error} retry={() => void refetch()} />;
  if (!data) return <Loading />;
  const tree = <CategoryTree categories={data.categories} uncategorised={data.uncategorised} />;
  return (
    <div className="flex min-h-0 flex-1 max-md:flex-col">
      {isPhone ? (
        <div className="px-4 pt-2.5">
          <Button onClick={() => setTreeOut(true)}>
            <FolderTree size={14} aria-hidden="true" /> Categories
          </Button>
        </div>
      ) : (
        tree
      )}
      {isPhone && isTreeOut && (
        <Drawer title="Categories" close={() => setTreeOut(false)}>
          {tree}
        </Drawer>
      )}
      <Outlet />
    </div>
  );
}
