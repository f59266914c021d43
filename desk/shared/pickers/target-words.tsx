import type { Target } from '../../../core/model/target';
import { TargetChip } from './target-chip';
import { useTargets } from './targets';

/** The chip of something of the shop, by its name. */
export function TargetName({ to, title, remove }: { to: Target; title?: string; remove: () => void }) {
  const { nameOf, whyNotMet } = useTargets('', to.kind === 'product' ? [to.id] : []);
  return <TargetChip label={nameOf(to)} note={whyNotMet(to)} title={title} remove={remove} />;
}
