<script setup lang="ts">
import { ACCOUNT, handedBackWords, OWNER_SAYS, PHASE_WORD, timeWords } from '@dauer/core/wording';
import { plainSum, sumText } from '../../fittings/money.ts';
import { saveText } from '../../fittings/saveText.ts';
import { saveTable } from '../../fittings/tableFile.ts';
import type { SheetLine } from '@dauer/core/ledger';
import { isHydraulic } from '@dauer/core/layout';
import { ACCOUNT_COLUMNS, accountRows, buildSheet, handbackFile } from '@dauer/core/views';
import { SHEET_PDF } from '@dauer/contract';
import { computed, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { useJob } from '../../job/job.ts';
import { useSession } from '../../app/session.ts';
import { dayText } from '../../fittings/dates.ts';
import OpenJob from '../../job/OpenJob.vue';
import RedactDialog from '../../job/RedactDialog.vue';
import OwnerPage from './OwnerPage.vue';
import PairTable from '../../fittings/PairTable.vue';
import StrikeButton from './StrikeButton.vue';
import TagPlate from '../../fittings/TagPlate.vue';

/** The hand-back sheet, for paper: as it was shown at release, or as it would be now. */
const job = useJob();
const session = useSession();
const route = useRoute();
const jobId = computed(() => String(route.params['jobId'] ?? ''));
watch(jobId, (id) => void job.load(id), { immediate: true });
const release = computed(() => job.state?.records.release ?? null);
const sheet = computed(() => release.value?.sheet ?? (job.state ? buildSheet(job.state, job.today) : null));
const sections = computed<{ key: string; title: string; lines: readonly SheetLine[]; none: string }[]>(() =>
  sheet.value
    ? [
        { key: 'findings', title: 'Found', lines: sheet.value.findings, none: 'Nothing beyond the figures above.' },
        { key: 'parts', title: 'Parts', lines: sheet.value.parts, none: 'No part was moved.' },
        { key: 'done', title: 'Done', lines: sheet.value.done, none: 'No operation was logged.' },
        { key: 'torques', title: 'Torques', lines: sheet.value.torques, none: 'None recorded.' },
        { key: 'fluid', title: 'Fluid', lines: sheet.value.fluid, none: 'The fluid was not changed.' },
        { key: 'proofs', title: 'Proved', lines: sheet.value.proofs, none: 'Nothing proved yet.' },
        { key: 'accepted', title: 'Accepted by name', lines: sheet.value.accepted, none: 'Nothing.' },
      ].filter((s) => s.key !== 'fluid' || s.lines.length > 0 || (job.state && isHydraulic(job.state.records.layout)))
    : [],
);
/** A line is picked by sight, to be blacked out of the sheet. */
const striking = ref(false);
const black = ref<{ readonly line: string; readonly text: string } | null>(null);
const pdf = computed(() => `${SHEET_PDF.path.replace(':jobId', jobId.value)}${owners.value ? '?page=owner' : ''}`);
/** The page in plain words for whoever drives, instead of the record. */
const owners = computed(() => route.query['page'] === 'owner' && sheet.value?.owner !== undefined);
const amendments = computed(() => job.state?.history.active(job.state.records.amendments) ?? []);
/** Of an account nothing is shown to readers: they are sent no prices. */
const account = computed(() => (session.may('technician') ? (sheet.value?.account ?? null) : null));
/** The account for the books, a line each. */
async function saveAccount(): Promise<void> {
  if (account.value && sheet.value)
    await saveTable(
      accountRows(account.value),
      ACCOUNT_COLUMNS,
      { name: `${sheet.value.vehicleTag.replace(/\W+/g, '-')}-account`, format: 'dauer.account', list: 'lines' },
      'csv',
    );
}
const print = (): void => window.print();
/** The record as an open data file, for whoever keeps it next. */
function saveFile(): void {
  const file = job.state ? handbackFile(job.state) : null;
  if (!file) return;
  const name = `${file.sheet.vehicleTag.replace(/\W+/g, '-')}-${file.releasedAt.slice(0, 10)}.json`;
  saveText(JSON.stringify(file, null, 2), name, 'application/json');
}
</script>

<template>
  <main v-if="sheet && job.state" class="sheet">
    <div class="acts no-print">
      <v-btn class="act" :to="`/jobs/${jobId}/prove`">Back to the job</v-btn>
      <v-btn v-if="sheet.owner" class="act" :to="{ query: owners ? {} : { page: 'owner' } }">
        {{ owners ? 'Full record' : OWNER_SAYS.title }}
      </v-btn>
      <v-btn v-if="release && !owners" class="act" @click="saveFile">Data file</v-btn>
      <v-btn v-if="account && !owners" class="act" @click="saveAccount">Account as CSV</v-btn>
      <v-btn class="act" :href="pdf" target="_blank" rel="noopener">PDF</v-btn>
      <v-btn v-if="release && session.may('lead')" class="act" :aria-pressed="striking" @click="striking = !striking">
        {{ striking ? 'Done' : 'Black out a line' }}
      </v-btn>
      <v-btn class="act main" @click="print">Print</v-btn>
    </div>
    <header>
      <div>
        <p class="plate-font shop">{{ session.shop.name }}</p>
        <h1>{{ owners ? OWNER_SAYS.title : 'Hand-back sheet' }}</h1>
      </div>
      <div class="who">
        <TagPlate :tag="sheet.vehicleTag" />
        <b class="plate-font">{{ sheet.vehicleName }}</b>
        <span class="second">{{ sheet.distance }}</span>
      </div>
    </header>
    <p v-if="sheet.leaves" class="leaves plate-font">
      {{ sheet.leaves }}
      <StrikeButton v-if="striking" @strike="black = { line: 'leaves', text: sheet.leaves }" />
    </p>
    <OwnerPage
      v-if="owners"
      :sheet="sheet"
      :released-at="release?.releasedAt ?? null"
      :striking="striking"
      @strike="(line, text) => (black = { line, text })"
    />
    <template v-else>
      <p v-if="!release" class="problem">Not handed back yet: this is how the sheet stands now.</p>
      <p v-else>{{ handedBackWords(job.state.records, dayText) }}.</p>
      <p>
        <b class="plate-font">Complaint</b>
        {{ sheet.complaint || 'none' }}
        <StrikeButton v-if="striking && sheet.complaint" @strike="black = { line: 'complaint', text: sheet.complaint }" />
        <span class="second">Asked again: {{ sheet.complaintAnswer.toLowerCase() }}.</span>
      </p>
      <section v-if="amendments.length > 0">
        <h2 class="line">Amended since</h2>
        <ul>
          <li v-for="a in amendments" :key="a.id">
            {{ a.words }}
            <span class="second small">{{ a.reason }}; {{ job.by(a) }}, {{ dayText(a.happenedAt) }}</span>
          </li>
        </ul>
      </section>
      <section>
        <h2 class="line">Still to do, by when</h2>
        <ul v-if="sheet.afterCare.length + sheet.putOff.length > 0">
          <li v-for="a in sheet.afterCare" :key="a.item">
            <b>{{ a.what }}</b>
            by {{ dayText(a.on) }}{{ a.km === null ? '' : `, or after ${a.km} km` }}
            <span class="second small">{{ a.why }}</span>
          </li>
          <li v-for="(l, i) in sheet.putOff" :key="`put off ${l.place}${l.on}`">
            <b>{{ l.place }}</b>
            {{ l.text }}
            <span class="second small">{{ l.by }}, {{ dayText(l.on) }}</span>
            <StrikeButton v-if="striking" @strike="black = { line: `putOff.${i}.text`, text: l.text }" />
          </li>
        </ul>
        <p v-else class="second">Nothing.</p>
      </section>
      <section v-if="sheet.pairs && sheet.pairs.length > 0">
        <h2 class="line">{{ OWNER_SAYS.pairs }}</h2>
        <PairTable :pairs="sheet.pairs" />
      </section>
      <section>
        <h2 class="line">Figures against limits</h2>
        <div class="scroll">
          <table v-if="sheet.figures.length > 0" class="figures">
            <thead>
              <tr>
                <th>Place</th>
                <th>Characteristic</th>
                <th>When</th>
                <th class="num">Figure</th>
                <th>Limit</th>
                <th>Verdict</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="(f, i) in sheet.figures" :key="i">
                <td>
                  {{ f.place }}
                  <span v-if="f.tag" class="second small tag">{{ f.tag }}</span>
                </td>
                <td>{{ f.characteristic }}</td>
                <td>{{ PHASE_WORD[f.phase] }}</td>
                <td class="num of">
                  <span class="fig fig-b">{{ f.figure }}</span>
                  <div class="second small fig">{{ f.uncertainty }}</div>
                </td>
                <td class="limit">
                  <span class="fig">{{ f.limit }}</span>
                  <div class="second small">{{ f.source }}</div>
                </td>
                <td class="verdict">{{ f.verdict }}</td>
              </tr>
            </tbody>
          </table>
          <p v-else class="second">No figure was taken.</p>
        </div>
      </section>
      <section v-if="sheet.nextDue.length > 0 || sheet.watch.length > 0">
        <h2 class="line">Next, and to watch</h2>
        <ul>
          <li v-for="(d, i) in sheet.nextDue" :key="d.what">
            {{ d.what }} due
            <b>{{ dayText(d.on) }}</b>
            <span class="second">{{ d.why }}</span>
            <StrikeButton v-if="striking" @strike="black = { line: `nextDue.${i}.why`, text: d.why }" />
          </li>
          <li v-for="(w, i) in sheet.watch" :key="w">
            {{ w }}
            <StrikeButton v-if="striking" @strike="black = { line: `watch.${i}`, text: w }" />
          </li>
        </ul>
      </section>
      <section v-for="s in sections" :key="s.title">
        <h2 class="line">{{ s.title }}</h2>
        <ul v-if="s.lines.length > 0">
          <li v-for="(l, i) in s.lines" :key="i">
            <b v-if="l.place !== sheet.vehicleName">{{ l.place }}:</b>
            {{ l.text }}
            <span class="second small">{{ l.by }}, {{ dayText(l.on) }}</span>
            <StrikeButton v-if="striking" @strike="black = { line: `${s.key}.${i}.text`, text: l.text }" />
          </li>
        </ul>
        <p v-else class="second">{{ s.none }}</p>
      </section>
      <section v-if="account">
        <h2 class="line">The account</h2>
        <p v-if="account.authorised !== null && account.agreed">
          Authorised
          <b class="fig">{{ sumText(account.authorised, account.currency) }}</b>
          <span class="second small">
            {{ account.agreed.text }}{{ account.agreed.by ? `; taken by ${account.agreed.by}` : '' }}, {{ dayText(account.agreed.on) }}
          </span>
          <StrikeButton v-if="striking" @strike="black = { line: 'account.agreed.text', text: account.agreed.text }" />
        </p>
        <div v-if="account.lines.length > 0" class="scroll">
          <table>
            <thead>
              <tr>
                <th scope="col">For</th>
                <th scope="col" class="num">Reckoned</th>
                <th scope="col" class="num">Hours</th>
                <th scope="col" class="num">Taken</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="(l, i) in account.lines" :key="l.what">
                <td>
                  {{ l.what }}
                  <div v-if="l.why" class="second small">
                    {{ l.why }}
                    <StrikeButton v-if="striking" @strike="black = { line: `account.lines.${i}.why`, text: l.why }" />
                  </div>
                </td>
                <td class="num fig">{{ plainSum(l.reckoned, account.currency) }}</td>
                <td class="num" :class="l.minutes === null ? 'second small' : 'fig'">
                  {{ l.minutes === null ? ACCOUNT.unlogged : timeWords(l.minutes) }}
                </td>
                <td class="num fig">{{ plainSum(l.actual, account.currency) }}</td>
              </tr>
              <tr class="sum">
                <td>Together</td>
                <td class="num fig">{{ plainSum(account.reckoned, account.currency) }}</td>
                <td />
                <td class="num fig">{{ plainSum(account.actual, account.currency) }}</td>
              </tr>
            </tbody>
          </table>
        </div>
        <p class="second small">{{ account.lines.length > 0 ? ACCOUNT.foot : 'Nothing is reckoned or taken yet.' }}</p>
      </section>
      <section v-if="sheet.outOfScope.length > 0">
        <h2 class="line">Not part of this job</h2>
        <p class="second small">{{ sheet.outOfScope.join('; ') }}</p>
      </section>
      <p class="second small foot">
        ± is the expanded uncertainty of the gauge. Dauer calculates and records; it does not certify. The maker’s data and the law of the
        place come first.
      </p>
    </template>
    <OpenJob v-if="black && release && job.history">
      <RedactDialog :corrects="release.id" field="sheet" :line="black.line" :text="black.text" @close="black = null" />
    </OpenJob>
  </main>
  <main v-else class="screen">
    <h1>{{ job.problem ?? 'Opening the sheet …' }}</h1>
  </main>
</template>

<style scoped>
.sheet {
  width: 100%;
  max-width: 900px;
  margin: 0 auto;
  padding: var(--space-4) var(--space-5) var(--space-7);
}
.leaves {
  font-size: var(--type-title);
  border-left: var(--line-head) solid var(--ink);
  padding-left: var(--space-3);
  margin-bottom: var(--space-3);
}
header {
  display: flex;
  justify-content: space-between;
  align-items: flex-end;
  border-bottom: var(--line-head) solid var(--ink);
  padding-bottom: var(--space-2);
  margin-bottom: var(--space-3);
  flex-wrap: wrap;
  gap: var(--space-2);
}
.shop {
  color: var(--ink2);
}
.who {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3);
  align-items: center;
  font-size: var(--type-title);
}
.who .second {
  font-size: var(--type-paragraph);
}
.acts {
  justify-content: flex-end;
  flex-wrap: wrap;
  margin-bottom: var(--space-2);
}
section {
  margin-top: 20px;
  break-inside: avoid-page;
}
li {
  padding: var(--space-1) 0;
  border-bottom: var(--line-hair) solid var(--hair);
}
.num {
  text-align: right;
  padding-right: var(--space-5);
}
.scroll {
  overflow-x: auto;
}
.sum td {
  border-top: var(--line-hair) solid var(--slate);
  font-weight: 600;
}
.foot {
  margin-top: var(--space-5);
}
.tag {
  white-space: nowrap;
}
/* On a narrow page a figure is a plate: what it is of, the figure and its verdict, the limit below. */
@media screen and (max-width: 720px) {
  .figures,
  .figures tbody {
    display: block;
  }
  .figures thead {
    display: none;
  }
  .figures tr {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0 var(--space-3);
    padding: var(--space-2) 0;
    border-bottom: var(--line-hair) solid var(--hair);
  }
  .figures td {
    border: 0;
    padding: 0;
    grid-column: 1;
  }
  .figures :is(.of, .verdict) {
    grid-column: 2;
    text-align: right;
  }
  .figures .of {
    grid-row: 1 / span 2;
  }
  .figures .verdict {
    grid-row: 3;
  }
  .figures .limit {
    grid-row: 4;
    grid-column: 1 / -1;
  }
}
</style>
