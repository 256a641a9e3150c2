import { expect } from 'chai';
import { fullDisk, smallDisk, takeDiskAway } from './diskFull.ts';
import { Yard } from './house.ts';
import { killing } from './killing.ts';

/** The short form of what `npm run drills` does at length. */
describe('nothing is lost', function () {
  this.timeout(240000);

  it('when server, database or both are killed at random moments under three clients, and it comes back by itself each time', async () => {
    const yard = new Yard();
    try {
      await yard.start();
      await yard.fill();
      const done = await killing(yard, { kills: 5, clients: 3, seed: 11 });
      // Something was at stake at every kill, however slow the machine is.
      expect(done.acknowledged).to.be.greaterThan(10);
      expect({ lost: done.lost, doubled: done.doubled, odd: done.odd }).to.deep.equal({ lost: 0, doubled: 0, odd: {} });
      expect(done.back).to.have.length(5);
    } finally {
      await yard.close();
    }
  });

  it('when the disk is full: it is said, nothing that was acknowledged goes, and it goes on by itself once there is room', async function () {
    const yard = new Yard();
    if (!smallDisk(yard.folder, 260)) return this.skip();
    try {
      await yard.start();
      await yard.fill();
      const done = await fullDisk(yard);
      expect(done.lost).to.equal(0);
      expect(done.acknowledged).to.be.greaterThan(19);
      expect(done.said, JSON.stringify(done)).to.include('disk_full');
      expect(
        Object.keys(done.refused)
          .map(Number)
          .every((s) => [0, 503, 507].includes(s)),
        JSON.stringify(done.refused),
      ).to.equal(true);
    } finally {
      await yard.stop();
      takeDiskAway(yard.folder);
      await yard.close();
    }
  });
});
