import type { OptionId } from '../src/catalogue/repairOptions.ts';
import { openHistory } from '../src/history/jobHistory.ts';
import { slotById } from '../src/layout/graph.ts';
import type { CardTell } from '../src/ledger/families/cardTells.ts';
import { whyNotBegun, whyNotTold } from '../src/readiness/cardRefusals.ts';
import { cardContent, runAt } from '../src/readiness/cardRuns.ts';
import { type CardState, cardState } from '../src/readiness/cardState.ts';
import { ReworkFixture } from './contributions.ts';
import { base, FOUR, NOW } from './jobFixture.ts';

/** A job in which a card runs at a place, told step by step. */
export class Bench extends ReworkFixture {
  readonly at: string;
  constructor(kind: string, option: OptionId) {
    super(FOUR);
    this.at = this.slot(kind);
    this.decide(this.at, option);
    this.begin(option);
  }
  history() {
    return openHistory(this.file);
  }
  begin(option: OptionId): string | null {
    const slot = slotById(this.layout, this.at)!;
    const content = cardContent(this.history(), slot, option)!;
    const run = { ...base(this.next()), slotId: this.at, option, ...content };
    const why = whyNotBegun(this.history(), run, NOW);
    if (why === null) this.file.cardRuns = [...this.file.cardRuns, run];
    return why;
  }
  now(): CardState {
    return cardState(this.history(), runAt(this.history(), this.at)!, NOW)!;
  }
  tell(stepId: string, over: Partial<CardTell> = {}, role: 'technician' | 'lead' = 'technician'): string | null {
    const [minute, { run }] = [this.next(), this.now()];
    const tell: CardTell = { ...base(minute), runId: run.id, stepId, kind: 'done', gate: null, note: '', ...over };
    const why = whyNotTold(this.history(), tell, NOW, role);
    if (why === null) this.file.cardTells = [...this.file.cardTells, tell];
    return why;
  }
  status(id: string): string {
    return this.now().steps.find((s) => s.step.id === id)!.status;
  }
  /** Takes the unit off as a hand does: its joint open and capped, a board on the pedal. */
  off(): void {
    this.putIn(this.layout.slots.find((s) => s.kind === 'pedal')!.id, 'board');
    this.joint(this.at, 'opened');
    this.part(this.at, 'removed');
    this.putIn(this.at, 'plug');
  }
}
