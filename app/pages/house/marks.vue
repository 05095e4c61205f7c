<script setup lang="ts">
import { CATALOGUE } from '~~/core/trade'

/**
 * Everything that can be wrong with a weld and goes on a coupon: its term, its number, how it is given, and how it
 * is drawn.
 */
useHead({ title: 'Marks · Fusilis' })
</script>

<template>
  <div class="page">
    <HouseHead />
    <div class="panel wrap">
      <table>
        <caption class="sr-only">
          What can be wrong with a weld
        </caption>
        <thead>
          <tr>
            <th scope="col">Drawn</th>
            <th scope="col">Term</th>
            <th scope="col">ISO 6520-1</th>
            <th scope="col">Looks like</th>
            <th scope="col">Where</th>
            <th scope="col">Given as</th>
            <th scope="col">Measured</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in CATALOGUE" :key="row.term">
            <td><CatalogueSign v-if="row.mark" :mark="row.mark" /></td>
            <th scope="row">{{ row.term }}</th>
            <td class="num">{{ row.iso6520 ?? '–' }}</td>
            <td>{{ row.looksLike }}</td>
            <td>{{ row.where }}</td>
            <td>{{ row.given }}</td>
            <td>{{ row.measured }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <p class="quiet foot">Terms after AWS A3.0, numbers after ISO 6520-1. From memory, check your copy.</p>
  </div>
</template>

<style scoped>
.wrap {
  overflow-x: auto;
  padding: 6px 10px;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  text-align: left;
  padding: 5px 9px;
  font-weight: 400;
  border-top: 1px solid var(--line);
  font-size: 0.95rem;
}
thead th {
  color: var(--quiet);
  font-size: 0.86rem;
  font-weight: 600;
  border-top: 0;
  white-space: nowrap;
}
tbody th {
  font-weight: 650;
}
.foot {
  padding: 8px 0;
}
</style>
