<!-- The map on the left and the work beside it; on a narrow page one above the other. -->
<template>
  <div class="frame">
    <aside class="left no-print"><slot name="map" /></aside>
    <main class="right"><slot /></main>
  </div>
</template>

<style scoped>
.frame {
  display: grid;
  grid-template-columns: var(--map) minmax(0, 1fr);
  align-items: start;
  min-height: calc(100vh - 104px);
}
.left {
  background: var(--plate);
  border-right: var(--line-hair) solid var(--hair);
  min-height: calc(100vh - 104px);
  position: sticky;
  top: 0;
  align-self: stretch;
}
.right {
  padding: 0 var(--space-5) var(--space-5);
  min-width: 0;
}
.capturing .right {
  padding-bottom: 104px;
}
@media (max-width: 860px) {
  .frame {
    grid-template-columns: 1fr;
  }
  .left {
    position: static;
    min-height: 0;
    border-right: 0;
  }
  .right {
    padding: 0 var(--space-3) var(--space-5);
  }
}
</style>
