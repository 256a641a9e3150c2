import { expect } from 'chai';
import { readTold, withUnit } from '../src/quantity/told.ts';
import { TORQUE_FIELD } from '../src/wording/en/fasteners.ts';
import fc from 'fast-check';
import { adapterSetting, adapterTorque } from '../src/metrology/torqueAdapter.ts';
import { vectorTests } from './vectors.ts';

interface Input {
  readonly op: 'setting' | 'actual';
  readonly torque_Nm: number;
  readonly setting_Nm: number;
  readonly wrench_length_mm: number;
  readonly adapter_offset_mm: number;
  readonly angle_deg: number;
}

describe('a torque wrench with an adapter', () => {
  vectorTests('torque-adapter', (i: Input) => {
    const wrench = { wrenchMm: i.wrench_length_mm, offsetMm: i.adapter_offset_mm, angleDeg: i.angle_deg };
    if (i.op === 'setting') {
      const { settingNm, ratio } = adapterSetting(i.torque_Nm, wrench);
      return { setting_Nm: settingNm, ratio };
    }
    const { torqueNm, ratio } = adapterTorque(i.setting_Nm, wrench);
    return { torque_Nm: torqueNm, ratio };
  });

  it('gives the fastener what was wanted, whatever the adapter, and is set lower the further it reaches out', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 500, noNaN: true }),
        fc.double({ min: 150, max: 1200, noNaN: true }),
        fc.double({ min: 1, max: 140, noNaN: true }),
        fc.double({ min: 0, max: 180, noNaN: true }),
        (torque, wrenchMm, offsetMm, angleDeg) => {
          const wrench = { wrenchMm, offsetMm, angleDeg };
          const { settingNm } = adapterSetting(torque, wrench);
          expect(adapterTorque(settingNm, wrench).torqueNm).to.be.closeTo(torque, 1e-9 * torque);
          if (angleDeg < 89.9) expect(settingNm).to.be.lessThan(torque);
          if (angleDeg > 90.1) expect(settingNm).to.be.greaterThan(torque);
        },
      ),
    );
  });
});

describe('a torque as it is told', () => {
  it('says the unit that was meant where none was typed, and the one that was typed where there is one', () => {
    const told = (typed: string, targetTyped: string, toTyped = '') => ({ typed, targetTyped, toTyped, unit: 'Nm' as const });
    expect(TORQUE_FIELD.set(told('8', '10'))).to.equal('8 N·m');
    expect(TORQUE_FIELD.set(told('18 lbf ft', ''))).to.equal('18 lbf ft');
    expect(TORQUE_FIELD.set(told('24,5\u00a0Nm', ''))).to.equal('24,5\u00a0Nm');
    expect(TORQUE_FIELD.set(told('by hand', ''))).to.equal('by hand');
    expect(TORQUE_FIELD.target(told('8', '10', '12'))).to.equal('target 10 N·m to 12 N·m');
    expect(TORQUE_FIELD.target(told('8', '18 lbf ft'))).to.equal('target 18 lbf ft');
    expect(TORQUE_FIELD.target(told('8', ' '))).to.equal('no target on file');
  });
  it('is read back from how it is told as what was meant', () => {
    for (const text of ['8', '24,5', '18 lbf ft', '15 lbf in'])
      expect(readTold('torque', withUnit(text, 'torque', 'lbf_ft'), 'Nm').canonical, text).to.be.closeTo(
        readTold('torque', text, 'lbf_ft').canonical,
        1e-9,
      );
  });
});
