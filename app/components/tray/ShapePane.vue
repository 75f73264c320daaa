<template>
  <div class="shape">
    <div class="drawn">
      <slot name="drawn" />
    </div>
    <div class="set">
      <slot />
    </div>
  </div>
</template>

<style scoped>
.shape { display: grid; grid-template-columns: minmax(0, 1.25fr) minmax(320px, 1fr); gap: 34px; align-items: start; }
.set { display: grid; gap: 8px; }
.set :deep(.count) { font: 500 1.5rem var(--voice); }
.set :deep(.count strong) { font-size: 1.9rem; }
.set :deep(.steps) { display: grid; grid-template-columns: repeat(auto-fill, minmax(min(190px, 46%), 1fr)); gap: 10px 18px; }
@media (max-width: 900px) { .shape { grid-template-columns: minmax(0, 1fr); gap: 16px; } }
@media (max-width: 360px) { .set :deep(.steps) { grid-template-columns: minmax(0, 1fr); } }
</style>
