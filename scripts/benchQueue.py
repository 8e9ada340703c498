"""An hour in which two hundred callers come to four members, as benchCore.mjs plays it; prints the best of many turns in ms."""

import time

from SimPy.Simulation import Process, Resource, Simulation, hold, release, request


class Caller(Process):
    def run(self, members):
        yield (request, self, members), (hold, self, 600)
        if self.acquired(members):
            yield hold, self, 4
            yield hold, self, 60
            yield release, self, members


def hour():
    simulation = Simulation()
    simulation.initialize()
    members = Resource(capacity=4, sim=simulation)
    for index in range(200):
        caller = Caller(sim=simulation)
        simulation.activate(caller, caller.run(members), at=index * 18)
    simulation.simulate(until=1e6)


best = float("inf")
for _ in range(60):
    began = time.perf_counter()
    hour()
    best = min(best, time.perf_counter() - began)
print(best * 1000)
