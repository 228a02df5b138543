import { createContext, useContext } from 'react'

/**
 * Whether the plan that is shown is that of what is saved. What else is told of a plan is asked for after it: it is looked at later,
 * and beside it the plan itself would come late.
 */
export const AfterPlan = createContext(true)

export const useAfterPlan = () => useContext(AfterPlan)
