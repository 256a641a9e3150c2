import { expect } from 'chai';
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
