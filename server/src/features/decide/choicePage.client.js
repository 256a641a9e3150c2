(() => {
  'use strict';
  const sheet = JSON.parse(document.getElementById('sheet').textContent);
  const LETTERS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';
  const power = [1];
  for (let i = 1; i < 31; i += 1) {
    const next = power[i - 1] << 1;
    power.push(next > 31 ? next ^ 37 : next);
  }
  const times = (symbol, by) => (symbol === 0 ? 0 : power[(power.indexOf(symbol) + by) % 31]);
  const money = new Intl.NumberFormat(
    sheet.locale,
    sheet.currency
      ? { style: 'currency', currency: sheet.currency, numberingSystem: 'latn' }
      : { minimumFractionDigits: sheet.digits, maximumFractionDigits: sheet.digits, numberingSystem: 'latn' },
  );
  const written = (minor) => money.format(minor / 10 ** sheet.digits);
  const shownOf = (ways) => {
    const needs = new Set(ways.flatMap((w) => w.needs));
    const shared = sheet.shared.filter((s) => needs.has(s.id));
    const all = ways.concat(shared);
    const minutes = all.reduce((sum, x) => sum + x.minutes, 0);
    return {
      gross: all.reduce((sum, x) => sum + x.gross, 0),
      days: Math.max(0, ...ways.map((w) => w.lead)) + Math.ceil(minutes / 60 / sheet.hoursADay),
    };
  };
  const codeOf = (picked) => {
    let index = 0n;
    let choices = 1n;
    sheet.rows.forEach((row, i) => {
      choices *= BigInt(row.ways.length);
      if (picked) index = index * BigInt(row.ways.length) + BigInt(picked[i]);
    });
    if (picked) index += 1n;
    choices += 1n;
    let length = 8;
    while (32n ** BigInt(length) < choices) length += 4;
    const symbols = [(sheet.tag >> 10) & 31, (sheet.tag >> 5) & 31, sheet.tag & 31];
    for (let i = length - 1; i >= 0; i -= 1) symbols.push(Number((index >> BigInt(5 * i)) & 31n));
    const sum = symbols.reduce((s, x, i) => s ^ times(x, i), 0);
    symbols.push(times(sum, (31 - (symbols.length % 31)) % 31));
    return symbols
      .map((s) => LETTERS[s])
      .join('')
      .match(/.{1,4}/g)
      .join('-');
  };
  const fields = sheet.rows.map((row) => [...document.querySelectorAll('fieldset')].find((f) => f.dataset.row === row.id));
  const inputs = fields.map((f) => [...f.querySelectorAll('input')]);
  const comes = document.getElementById('comes');
  const code = document.getElementById('code');
  let no = false;
  const show = () => {
    const picked = inputs.map((list) => list.findIndex((x) => x.checked));
    const open = picked.filter((i) => i < 0).length;
    const ways = picked.flatMap((at, i) => (at < 0 ? [] : [sheet.rows[i].ways[at]]));
    const { gross, days } = shownOf(ways);
    if (no) {
      comes.textContent = 'None of it is done.';
      code.textContent = codeOf(null);
      return;
    }
    const over =
      sheet.authorised !== null && gross > sheet.authorised ? `, ${written(gross - sheet.authorised)} more than you have authorised` : '';
    comes.textContent =
      open > 0
        ? `${open} of ${picked.length} still to pick. So far ${written(gross)}${over}.`
        : `${written(gross)} with tax, in about ${days} working ${days === 1 ? 'day' : 'days'}${over}. Your code:`;
    code.textContent = open > 0 ? '' : codeOf(picked);
  };
  const pick = (ways) => {
    no = false;
    sheet.rows.forEach((row, i) => {
      const option = (ways.find((w) => w.row === row.id) || {}).option;
      const at = row.ways.findIndex((w) => w.option === option);
      inputs[i].forEach((x, n) => {
        x.checked = n === at;
      });
    });
    show();
  };
  document.querySelectorAll('[data-variant]').forEach((button) => {
    const { ways } = sheet.variants.find((v) => v.id === button.dataset.variant);
    const each = sheet.rows.flatMap((row) => {
      const pickOf = ways.find((w) => w.row === row.id);
      const way = pickOf && row.ways.find((w) => w.option === pickOf.option);
      return way ? [way] : [];
    });
    button.querySelector('.sum').textContent = ` ${written(shownOf(each).gross)}`;
    button.addEventListener('click', () => pick(ways));
  });
  document.querySelector('[data-no]').addEventListener('click', () => {
    pick([]);
    no = true;
    show();
  });
  document.addEventListener('change', () => {
    no = false;
    show();
  });
  show();
})();
