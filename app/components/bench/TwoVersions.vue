<script setup lang="ts">
import type { SavedCoupon } from '~~/contract/coupon'
import type { CouponDocument } from '~~/core/coupon'

/** Someone else saved the same coupon meanwhile: both are shown, both are kept, one stands. */
defineProps<{ mine: CouponDocument; theirs: SavedCoupon; busy: boolean }>()
defineEmits<{ choose: [which: 'mine' | 'theirs']; close: [] }>()
</script>

<template>
  <v-dialog :model-value="true" max-width="760" aria-label="Two versions" @update:model-value="$emit('close')">
    <div class="panel two">
      <h2>{{ theirs.savedBy }} saved this coupon meanwhile</h2>
      <p class="quiet">Both versions stay in its history. Which one stands?</p>
      <div class="pair">
        <figure>
          <CouponThumb :document="mine" label="My version" />
          <figcaption>
            <v-btn color="primary" block :loading="busy" @click="$emit('choose', 'mine')">Mine stands</v-btn>
          </figcaption>
        </figure>
        <figure>
          <CouponThumb :document="theirs.document" label="Their version" />
          <figcaption>
            <v-btn variant="outlined" block :loading="busy" @click="$emit('choose', 'theirs')">Theirs stands</v-btn>
          </figcaption>
        </figure>
      </div>
    </div>
  </v-dialog>
</template>

<style scoped>
.two {
  padding: 22px;
  display: grid;
  gap: 10px;
}
h2 {
  font-size: 1.2rem;
  font-weight: 700;
}
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 16px;
}
figure {
  display: grid;
  gap: 10px;
}
</style>
