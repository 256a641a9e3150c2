import { GROUP_NAME, type ObservationFacts, observedCode } from '../../catalogue/observations.ts';
import { SHOP_WORDS } from '../../wording/en/shopWords.ts';

/** Whether something on the list answers to what was typed: in its own words, those of its group, or what it is called at the bench. */
export function answersToWords(of: ObservationFacts, typed: string): boolean {
  const text = `${of.text} ${GROUP_NAME[of.group]} ${SHOP_WORDS[observedCode(of.code)] ?? ''}`.toLowerCase();
  return typed
    .toLowerCase()
    .split(/[\s,]+/)
    .every((word) => word === '' || text.includes(word));
}
