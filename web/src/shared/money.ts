import { useCurrency } from '../api/hooks'
import { currencySign, moneyWords, roundMoneyWords } from './format'

/** The practice's currency, with how amounts in it are written. */
export function useMoney() {
  const query = useCurrency()
  const code = query.data?.code ?? 'EUR'
  return {
    words: (amount: number) => moneyWords(amount, code),
    round: (amount: number) => roundMoneyWords(amount, code),
    sign: currencySign(code),
    query,
  }
}
