import type { RefObject } from 'react';
import { flushSync } from 'react-dom';
import { answerKeys } from '../../parts/topics';
import { useKeys, useWords } from '../../ui/keys';
import type { Answers } from './useAnswers';
import type { Parts } from './useParts';

/** The keys of the Look step. What is typed that is no key goes into the field. */
export function useLookKeys(p: Parts, a: Answers, box: RefObject<HTMLInputElement | null>) {
  useWords((text) => {
    flushSync(() => p.setSay(text)); // the next letter already goes into the field
    p.setAt(0);
    box.current?.focus();
  });
  const walk = (d: number) => {
    a.movedOn();
    p.step(d);
  };
  const { line, next } = p;
  const offer = a.offers[0];
  useKeys([
    { key: 'f', does: 'turn the leaf', run: () => p.show('leaf', p.part === 'leaf' ? !p.under : p.under) },
    {
      key: 's',
      does: 'say what you see',
      opens: true,
      run: () => {
        p.setSay('');
        box.current?.focus();
      },
    },
    { key: 'ArrowDown', does: 'line', run: () => walk(1) },
    { key: 'ArrowUp', does: 'line', hidden: true, run: () => walk(-1) },
    { key: 'ArrowRight', does: 'next part', run: () => p.turn(1) },
    { key: 'ArrowLeft', does: 'part before', hidden: true, run: () => p.turn(-1) },
    { key: 'PageDown', does: 'next group', run: () => p.turnTopic(1) },
    { key: 'PageUp', does: 'group before', hidden: true, run: () => p.turnTopic(-1) },
    ...answerKeys.map((key, i) => ({
      key,
      does: 'answer',
      hidden: i > 0,
      run: () => {
        const st = line?.states[i];
        if (line && st) {
          a.press(line, st.id);
          p.step(1);
        }
      },
    })),
    { key: 'Enter', does: 'to what is asked next', run: () => next && p.goTo(next.finding) },
    // Alt with a digit is the way to the rooms, here above all: digits answer.
    ...(offer
      ? [
          { key: 'o', does: 'take over what was told', run: () => a.told(offer) },
          { key: 'p', does: 'pass it by', run: () => a.passBy(offer) },
        ]
      : []),
    { key: 'x', does: 'not looked', run: () => line && a.answer(line, '') },
    { key: 't', does: 'think so', run: () => a.sureness('think', line) },
    { key: 'g', does: 'a guess', run: () => a.sureness('guess', line) },
    { key: 'y', does: 'sure', hidden: true, run: () => a.sureness('sure', line) },
  ]);
}
