import { readFileSync, writeFileSync } from 'node:fs';
import { expect } from 'chai';
import { controlOfItem, itemBase, proofItems } from '../src/catalogue/proofItems.ts';
import type { Layout, Slot } from '../src/layout/graph.ts';
import { cornersOf, isHydraulic } from '../src/layout/graph.ts';
import { type ComponentKind, KIND_FACTS } from '../src/layout/kinds.ts';
import { controlsOf } from '../src/layout/reach.ts';
import { canBeOff, withRuns } from '../src/layout/runs.ts';
import { buildLayout } from '../src/layout/templates.ts';
import { disturbs } from '../src/readiness/disturbed.ts';
import { ends, type Proved } from '../src/readiness/lapsing.ts';
import { id } from './jobFixture.ts';

const VEHICLES = [
  ['coupe_disc_disc_tandem_servo', 'Discs all round, tandem cylinder'],
  ['disc_disc_parking_drum', 'Discs all round, a parking drum in the rear rotors'],
  ['disc_drum_remote_servo', 'Discs and drums, remote servo'],
  ['drums_single', 'Drums all round, one circuit'],
  ['utility_rods', 'Rods'],
  ['motorcycle_disc_rod', 'Motorcycle, hand lever and foot lever'],
] as const;

const NEVER = { at: '', recordedAt: '' };
const itemsOf = (layout: Layout) =>
  proofItems({
    ...{ complaint: 'Complaint', seen: [], hydraulic: isHydraulic(layout), clutch: controlsOf(layout).some((c) => c.kind === 'clutch') },
    tandem: layout.slots.some((s) => s.style === 'tandem'),
    parking: layout.slots.some((s) => s.kind === 'parking_lever'),
    corners: cornersOf(layout),
    controls: controlsOf(layout)
      .filter((c) => c.kind === 'pedal')
      .map((c) => ({
        ...{ slotId: c.slotId, name: c.name, pushed: true, servo: false },
        wet: layout.slots.some((s) => s.kind === 'master_cylinder' && c.reach.has(s.id)),
      })),
  });

/** What moving what sits in a place ends of an item: everything, that of its own wheel alone, or nothing. */
function cell(layout: Layout, slot: Slot, item: string): '●' | 'own' | '' {
  const does = disturbs(layout, slot, 'fitted');
  const list = itemsOf(layout).filter((i) => i.item === item);
  const ended = list.filter((i) => ends(layout, { slot, does }, { kind: 'item', item, corner: i.corner, ...NEVER }));
  if (ended.length === 0) return '';
  return ended.length === list.length ? '●' : 'own';
}

function tableOf(template: string): {
  readonly rows: Map<ComponentKind, string[]>;
  readonly heads: string[];
  readonly items: string[];
  readonly controls: string;
} {
  const layout = withRuns(buildLayout(template, 'lay', 'car', id));
  const heads = [...new Set(itemsOf(layout).map((i) => i.item))];
  const rows = new Map<ComponentKind, string[]>();
  // The rear wheel of each kind stands for it: that is where the parking lever reaches.
  for (const slot of layout.slots)
    if (canBeOff(slot.kind))
      rows.set(
        slot.kind,
        heads.map((h) => cell(layout, slot, h)),
      );
  const controls = controlsOf(layout).map((c) => `${c.name} (reaches ${c.reach.size} places)`);
  return { rows, heads: heads.map((h) => headOf(layout, h)), items: heads, controls: controls.join(', ') };
}

/** An item, and the control that it is asked of where there are several. */
function headOf(layout: Layout, item: string): string {
  const of = controlOfItem(item);
  const name = controlsOf(layout).find((c) => c.slotId === of)?.name;
  return `${itemBase(item).replaceAll('_', ' ')}${name === undefined ? '' : `, ${name.toLowerCase()}`}`;
}

function written(): string {
  const lines = [
    '# Which work ends which proof',
    '',
    'What moving or renewing a part ends of what was proved before, by kind of vehicle: ● everywhere, *own* at its own wheel, nothing where it stands. Written by `core/test/proofMatrix.test.ts` from the one table (`core/src/readiness/lapsing.ts`), for a person to read; `DAUER_WRITE_MATRIX=1 npm run test:core -- core/test/proofMatrix.test.ts` writes it anew.',
  ];
  for (const [template, name] of VEHICLES) {
    const { rows, heads, controls } = tableOf(template);
    lines.push('', `## ${name}`, '', `Controls: ${controls}.`, '');
    lines.push(`| Part | ${heads.join(' | ')} |`, `|---|${heads.map(() => '---').join('|')}|`);
    for (const [kind, cells] of rows) lines.push(`| ${KIND_FACTS[kind].name} | ${cells.join(' | ')} |`);
  }
  return `${lines.join('\n')}\n`;
}

const of = (template: string, kind: ComponentKind, item: string): string | undefined => {
  const { rows, items } = tableOf(template);
  return rows.get(kind)?.[items.indexOf(item)];
};

describe('which work ends which proof', () => {
  it('stands in the documents as it is', () => {
    const file = new URL('../../docs/proof-endings.md', import.meta.url);
    if (process.env['DAUER_WRITE_MATRIX'] === '1') writeFileSync(file, written());
    expect(readFileSync(file, 'utf8')).to.equal(written());
  });

  it('the parking brake is proved again after anything in its chain', () => {
    for (const kind of ['parking_shoes', 'rotor'] as const) expect(of('disc_disc_parking_drum', kind, 'parking'), kind).to.equal('●');
    for (const kind of ['drum', 'shoes'] as const) expect(of('drums_single', kind, 'parking'), kind).to.equal('●');
    for (const kind of ['hose', 'master_cylinder'] as const) expect(of('drums_single', kind, 'parking'), kind).to.equal('');
  });

  it('what carries fluid is hydraulic, whatever its kind: a remote servo ends leak look, hold and first press', () => {
    for (const item of ['leak_look', 'pedal_hold', 'first_press', 'pedal_reserve', 'road'])
      expect(of('disc_drum_remote_servo', 'servo', item), item).to.equal('●');
  });

  it('stop lamps end with their switch, and every complaint with any work on what brakes', () => {
    const layout = buildLayout('coupe_disc_disc_tandem_servo', 'lay', 'car', id);
    const proved: Proved = { kind: 'item', item: 'complaint', corner: null, ...NEVER };
    for (const slot of layout.slots.filter((s) => ['pads', 'rotor', 'caliper', 'hose', 'servo', 'hub', 'master_cylinder'].includes(s.kind)))
      expect(ends(layout, { slot, does: disturbs(layout, slot, 'fitted') }, proved), slot.name).to.equal(true);
    const lamp = layout.slots.find((s) => s.kind === 'switch');
    if (lamp) expect(of('coupe_disc_disc_tandem_servo', 'switch', 'stop_lamp')).to.equal('●');
    expect(disturbs(layout, { ...layout.slots[0]!, kind: 'switch', circuits: [] }, 'fitted')).to.include('lamp');
  });

  it('what was felt at one wheel is asked again after work at that wheel, and stands after work at another', () => {
    const layout = buildLayout('coupe_disc_disc_tandem_servo', 'lay', 'car', id);
    const pads = (corner: string): Slot => layout.slots.find((s) => s.kind === 'pads' && s.corner === corner)!;
    const by = (slot: Slot) => ({ slot, does: disturbs(layout, slot, 'fitted') });
    const drags: Proved = { kind: 'item', item: 'again:drags', corner: 'FL', ...NEVER };
    expect([ends(layout, by(pads('FL')), drags), ends(layout, by(pads('FR')), drags)]).to.deep.equal([true, false]);
    const judder: Proved = { ...drags, item: 'again:judder', corner: null };
    expect(ends(layout, by(pads('FR')), judder), 'of no wheel').to.equal(true);
  });
});
