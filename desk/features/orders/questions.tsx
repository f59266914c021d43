import { Link } from 'react-router';
import { useLetterWrites, type Letters } from '../../data/letters';
import { Button } from '../../shared/ui/button';
import { TextArea } from '../../shared/ui/field';
import { Empty } from '../../shared/ui/states';
import { useAnswerDraft } from './answer-draft';
import { dayWords } from './day-words';

type Question = Letters['questions'][number];

function About({ question }: { question: Question }) {
  if (!question.isKnown) return <span className="font-semibold">{question.about} (deleted)</span>;
  return (
    <Link to={`/goods/${question.productId}`} className="font-semibold hover:underline">
      {question.about}
    </Link>
  );
}

function OpenQuestion({ question }: { question: Question }) {
  const { answer, putAway } = useLetterWrites();
  const [text, write, forget] = useAnswerDraft(question.id);
  return (
    <li className="sheet p-4">
      <p className="flex flex-wrap items-baseline justify-between gap-x-4">
        <About question={question} />
        <span className="text-xs text-ink-2">
          {question.email}, {dayWords(question.at)}
        </span>
      </p>
      <p className="my-3 max-w-prose whitespace-pre-wrap break-words text-[15px]">{question.text}</p>
      <TextArea
        label={`Answer to ${question.email}`}
        hideLabel
        rows={3}
        maxLength={5_000}
        placeholder="Your answer"
        value={text}
        onChange={(event) => write(event.target.value)}
      />
      <div className="mt-2 flex gap-2">
        <Button
          look="main"
          disabled={text.trim() === '' || answer.isPending}
          onClick={() => answer.mutate({ id: question.id, text }, { onSuccess: forget })}
        >
          Answer
        </Button>
        <Button look="bare" disabled={putAway.isPending} onClick={() => putAway.mutate(question.id)}>
          No answer needed
        </Button>
      </div>
    </li>
  );
}

/** What shoppers asked: open ones to be answered, then the others. */
export function Questions({ questions }: { questions: readonly Question[] }) {
  const open = questions.filter(({ answered }) => answered === null);
  const done = questions.filter(({ answered }) => answered !== null);
  if (questions.length === 0)
    return (
      <Empty title="No questions yet">
        Every product has a link “Ask us about it”. What shoppers write arrives here.
      </Empty>
    );
  return (
    <>
      <ul className="flex max-w-3xl flex-col gap-3">
        {open.map((question) => (
          <OpenQuestion key={question.id} question={question} />
        ))}
      </ul>
      {open.length === 0 && <p className="text-ink-2">All questions are answered.</p>}
      {done.length > 0 && (
        <section className="mt-6 max-w-3xl" aria-labelledby="done">
          <h2 id="done" className="mb-1.5 font-display text-[15px] font-bold">
            Done
          </h2>
          <ul className="sheet divide-y divide-hair px-4">
            {done.map((question) => (
              <li key={question.id} className="py-2">
                <p className="flex flex-wrap items-baseline justify-between gap-x-4">
                  <About question={question} />
                  <span className="text-xs text-ink-2">{dayWords(question.answered!)}</span>
                </p>
                <p className="line-clamp-2 break-words text-ink-2">{question.text}</p>
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  );
}
