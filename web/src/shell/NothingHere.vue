<template>
  <main class="screen">
    <h1>Nothing under this address</h1>
    <p class="second">The page may have moved, or the address was typed wrongly.</p>
    <p><v-btn class="act" to="/">To the yard</v-btn></p>
  </main>
</template>

<style scoped>
p {
  margin: var(--space-4) 0;
}
</style>
