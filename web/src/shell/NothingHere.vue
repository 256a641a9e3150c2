<template>
  <main class="screen">
    <h1>Nothing under this address</h1>
    <p class="second">The page may have moved, or the address was typed wrongly.</p>
    <p><RouterLink class="act" to="/">To the yard</RouterLink></p>
  </main>
</template>

<style scoped>
p {
  margin: 16px 0;
}
</style>
