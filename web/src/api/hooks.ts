import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { api, ask, type Month, type ProductForm, type Schemas } from './client'

/** Query keys in one place. */
export const keys = {
  vocabulary: ['vocabulary'] as const,
  desk: ['desk'] as const,
  client: (id: string) => ['client', id] as const,
  shelf: (client: string) => ['shelf', client] as const,
  products: ['products'] as const,
  visit: (id: string) => ['visit', id] as const,
  plans: (visit: string) => ['plan', visit] as const,
  plan: (visit: string, version: number, month: Month, shelf: string) =>
    ['plan', visit, version, month, shelf] as const,
  kept: (visit: string) => ['kept', visit] as const,
}

export const useVocabulary = () =>
  useQuery({ queryKey: keys.vocabulary, queryFn: () => ask(api.GET('/api/vocabulary')), staleTime: Infinity })

export const useDesk = () => useQuery({ queryKey: keys.desk, queryFn: () => ask(api.GET('/api/desk')) })

export const useClient = (id: string) =>
  useQuery({
    queryKey: keys.client(id),
    queryFn: () => ask(api.GET('/api/clients/{id}', { params: { path: { id } } })),
    enabled: id !== '',
  })

export const useShelf = (client: string) =>
  useQuery({
    queryKey: keys.shelf(client),
    queryFn: () => ask(api.GET('/api/clients/{id}/shelf', { params: { path: { id: client } } })),
    enabled: client !== '',
  })

export const useProducts = () =>
  useQuery({ queryKey: keys.products, queryFn: () => ask(api.GET('/api/products')) })

export const useKeptPlans = (visit: string) =>
  useQuery({
    queryKey: keys.kept(visit),
    queryFn: () => ask(api.GET('/api/visits/{id}/plans', { params: { path: { id: visit } } })),
  })

/** Reads a label and keeps nothing. */
export const useReadLabel = () =>
  useMutation({ mutationFn: (body: ProductForm) => ask(api.POST('/api/labels', { body })) })

export function useShelfChange(client: string) {
  const queries = useQueryClient()
  const settle = (items: Schemas['Item'][]) => {
    queries.setQueryData(keys.shelf(client), items)
    void queries.invalidateQueries({ queryKey: ['plan'] })
  }
  const path = { path: { id: client } }
  return {
    addLabel: useMutation({
      mutationFn: (body: Schemas['Labelled']) =>
        ask(api.POST('/api/clients/{id}/shelf/labels', { params: path, body })),
      onSuccess: settle,
    }),
    addKnown: useMutation({
      mutationFn: (body: Schemas['Known']) =>
        ask(api.POST('/api/clients/{id}/shelf/products', { params: path, body: body as never })),
      onSuccess: settle,
    }),
    takeOff: useMutation({
      mutationFn: (item: string) =>
        ask(api.DELETE('/api/clients/{id}/shelf/{item}', { params: { path: { id: client, item } } })),
      onSuccess: settle,
    }),
  }
}
