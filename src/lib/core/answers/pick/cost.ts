/** The criterion that is about money: left out of the value of tiers, and divided by where value per money counts. */
export const COST = 'costPerGoodKg';
