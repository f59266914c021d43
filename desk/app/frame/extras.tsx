import { lazy, useState } from 'react';
import Tour from '../../features/help/tour';
import { useTour } from '../../features/help/tour-store';
import { useTellPresence } from './tell-presence';

const HelpPanel = lazy(() => import('../../features/help/help-panel'));

interface Props {
  isHelpOpen: boolean;
  closeHelp: () => void;
  showKeys: () => void;
}

/** What comes right after the frame, as nobody waits for it: help, the tour, and telling others where one is. */
export default function Extras({ isHelpOpen, closeHelp, showKeys }: Props) {
  const [wasHelped, setHelped] = useState(false);
  if (isHelpOpen && !wasHelped) setHelped(true);
  const tour = useTour();
  useTellPresence();
  return (
    <>
      {wasHelped && <HelpPanel isOpen={isHelpOpen} close={closeHelp} showKeys={showKeys} />}
      {tour && <Tour tour={tour} />}
    </>
  );
}
