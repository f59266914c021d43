import { format } from 'date-fns';
import { useEffect, useState } from 'react';
import { Link, useLocation } from 'react-router';
import { useExampleGoods, useShopState } from '../../data/help';
import { useSettings } from '../../data/shopfront';
import { Button } from '../../shared/ui/button';
import { Dialog } from '../../shared/ui/dialog';
import { Pressed } from '../../shared/ui/pressed';
import { hasNews, news, noteNewsSeen } from './news';
import { OwnGoods } from './own-goods';
import type { DeskHelp, Topic } from './topic';
import { deskHelps, findTopics, helpAt } from './topics/topics';
import { tourStore } from './tour-store';

interface ExplainedProps {
  topic: Topic;
  /** the desk that it is of, where it is not said already */
  of?: string;
  close: () => void;
}

/** One idea in words, drawn with goods of the shop. */
function Explained({ topic: { key, title, words, drawing, to }, of, close }: ExplainedProps) {
  const { data: rows = [] } = useExampleGoods(drawing !== undefined);
  const { data: settings } = useSettings();
  return (
    <section aria-labelledby={`help-${key}`} className="border-t border-hair py-3 first:border-0 first:pt-0">
      <h3 id={`help-${key}`} className="font-display text-base font-bold">
        {title}
        {of && <span className="ml-2 text-xs font-normal text-ink-2">{of}</span>}
      </h3>
      {words.map((paragraph) => (
        <p key={paragraph} className="mt-1 max-w-prose">
          {paragraph}
        </p>
      ))}
      {drawing && <OwnGoods drawing={drawing} rows={rows} currency={settings?.currency ?? 'EUR'} />}
      {to && (
        <Link to={to.at} onClick={close} className="mt-1 inline-block text-petrol hover:underline">
          {to.words}
        </Link>
      )}
    </section>
  );
}

function News({ close }: { close: () => void }) {
  useEffect(noteNewsSeen, []);
  return (
    <ul>
      {news.map(({ day, words, to }) => (
        <li key={words} className="flex gap-4 border-t border-hair py-2 first:border-0">
          <span className="w-20 shrink-0 text-ink-2">{format(new Date(`${day}T12:00`), 'd MMM yyyy')}</span>
          <Link to={to} onClick={close} className="min-w-0 hover:underline">
            {words}
          </Link>
        </li>
      ))}
    </ul>
  );
}

function Found({ typed, close }: { typed: string; close: () => void }) {
  const found = findTopics(typed);
  if (found.length === 0)
    return <p className="py-4 text-ink-2">Nothing explains “{typed}”. Try one word of it, or choose a desk.</p>;
  return found.map(({ desk, topic }) => (
    <Explained key={`${desk.name} ${topic.key}`} topic={topic} of={desk.name} close={close} />
  ));
}

interface Props {
  isOpen: boolean;
  close: () => void;
  showKeys: () => void;
}

/** Explains the desk that one is at, and all others; searched by words. */
export default function HelpPanel({ isOpen, close, showKeys }: Props) {
  const { pathname } = useLocation();
  const [typed, setTyped] = useState('');
  const [chosen, setChosen] = useState<DeskHelp | 'news' | null>(null);
  const { data: state } = useShopState(isOpen);
  const here = helpAt(pathname);
  const shown = chosen ?? here;
  const leave = () => {
    setChosen(null);
    setTyped('');
    close();
  };
  const begin = () => {
    if (!state) return;
    const { products, collections, edition } = state;
    tourStore.set({ before: { products, collections, edition }, done: [] });
    leave();
  };
  return (
    <Dialog title="Help" isOpen={isOpen} close={leave} width="max-w-3xl">
      <input
        type="search"
        aria-label="Search the help"
        placeholder="What would you like to know?"
        autoFocus
        value={typed}
        onChange={({ target }) => setTyped(target.value)}
        className="field mb-3"
      />
      <div className="mb-3 flex flex-wrap gap-1">
        {deskHelps.map((desk) => (
          <Pressed
            key={desk.name}
            isOn={typed.trim() === '' && desk === shown}
            choose={() => {
              setTyped('');
              setChosen(desk);
            }}
          >
            {desk.name}
          </Pressed>
        ))}
        <Pressed
          isOn={typed.trim() === '' && shown === 'news'}
          choose={() => {
            setTyped('');
            setChosen('news');
          }}
        >
          What is new{hasNews() && <span aria-label="something you have not seen">&nbsp;•</span>}
        </Pressed>
      </div>
      <div className="max-h-[52vh] min-h-40 overflow-y-auto pr-1">
        {typed.trim() !== '' ? (
          <Found typed={typed.trim()} close={leave} />
        ) : shown === 'news' ? (
          <News close={leave} />
        ) : (
          shown.topics.map((topic) => <Explained key={topic.key} topic={topic} close={leave} />)
        )}
      </div>
      <div className="mt-4 flex flex-wrap justify-end gap-2 border-t border-line pt-3">
        <Button
          look="bare"
          onClick={() => {
            leave();
            showKeys();
          }}
        >
          Keys, and conditions to type
        </Button>
        <Button disabled={!state} onClick={begin}>
          First tour, three minutes
        </Button>
        <Button look="main" onClick={leave}>
          Done
        </Button>
      </div>
    </Dialog>
  );
}
