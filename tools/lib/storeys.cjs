/** The storeys of the core, from the ground to the roof: none leans on one above it. The import rules and docs/rooms.md hold to it. */
module.exports = [
  ...['quantity', 'picture', 'verdict', 'inference', 'layout', 'catalogue', 'ledger', 'metrology', 'hydraulics', 'history'],
  ...['judging', 'service', 'supply', 'wording', 'readiness', 'estimate', 'stages', 'job', 'views'],
];
