"""Tails of large binomial distributions to fifty digits (mpmath), summed from the value outwards;
makes binomial-tails.csv: n, p, x, ln P(X <= x), ln P(X >= x)."""
from mpmath import *
mp.dps=50
def logmass(n,x,p): return loggamma(n+1)-loggamma(x+1)-loggamma(n-x+1)+x*log(p)+(n-x)*log(1-p)
def up(n,x,p):
    t=s=mpf(1);k=x
    while t>s*mpf(10)**-30:
        t*=mpf(n-k)/(k+1)*p/(1-p); s+=t; k+=1
    return logmass(n,x,p)+log(s)
def lo(n,x,p): return up(n,n-x,1-p)
for n,ps in ((5000000,'0.05'),(100000000,'0.3'),(10**10,'0.05')):
    p=mpf(ps)
    m=n*p; sd=sqrt(n*p*(1-p))
    for z in (-30,-6,-1,1,6,30):
        x=int(m+z*sd)
        if z<0: l=lo(n,x,p); u=log(1-mp.e**lo(n,x-1,p))
        else: u=up(n,x,p); l=log(1-mp.e**up(n,x+1,p))
        print("%d,%s,%d,%s,%s"%(n,ps,x,nstr(l,25),nstr(u,25)))
