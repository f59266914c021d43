import { useState } from 'react';
import { AddProduct } from '../../shared/pickers/add-product';
import { CopyParts } from '../../shared/copy-parts';
import { Dialog } from '../../shared/ui/dialog';

/** Gives the goods of the tray parts of another product, which is chosen first. */
export function CopyFrom({ close }: { close: () => void }) {
  const [source, setSource] = useState<{ id: string; title: string }>();
  if (source) return <CopyParts {...source} close={close} />;
  return (
    <Dialog title="Copy parts from a product" isOpen close={close}>
      <p className="mb-3 text-ink-2">Choose the product whose parts the goods of the tray are to get.</p>
      <AddProduct taken={[]} add={(id, title) => setSource({ id, title })} />
    </Dialog>
  );
}
