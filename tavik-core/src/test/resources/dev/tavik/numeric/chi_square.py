"""Tails of chi-square to fifty digits (mpmath), from the power series below the mean and the
continued fraction above it; makes chi-square-tails.csv: x, df, ln lower tail, ln upper tail."""
from mpmath import mp, mpf, gammainc, gamma, log, nstr, loggamma, sqrt
mp.dps=50
def series(a,y):
    t=s=mpf(1); i=1
    while t>s*mpf(10)**-45:
        t*=y/(a+i); s+=t; i+=1
    return a*log(y)-y-loggamma(a+1)+log(s)
def frac(a,y):
    # Lentz
    tiny=mpf(10)**-300
    b=y+1-a; c=1/tiny; d=1/b; f=d; i=1
    while True:
        t=-i*(i-a); b+=2; d=1/(t*d+b); c=b+t/c; k=c*d; f*=k
        if abs(k-1)<mpf(10)**-45: break
        i+=1
    return a*log(y)-y-loggamma(a)+log(f)
rows=[]
for df in ["0.01","0.5","1","2","3","4","7","15","16","17","49","100","361","1000","4999","30000","250001","1000000"]:
    d=mpf(float(df)); a=d/2
    for z in [-25,-12,-6,-3,-1,-0.2,0,0.2,1,3,6,12,25,36,40,60]:
        x=float(d+z*sqrt(2*d))
        if x<=0: x=float(d)*10.0**z if z<0 else None
        if x is None or x<=0 : continue
        y=mpf(x)/2
        if y<a:
            lo=series(a,y); up=log(1-mp.e**lo)
        else:
            up=frac(a,y); lo=log(1-mp.e**up)
        rows.append((x,df,nstr(lo,25),nstr(up,25)))
    for x in [1000.0,2000.0,1e4,1e6,1e9,1e12]:
        y=mpf(x)/2
        if y>a:
            up=frac(a,y); lo=log(1-mp.e**up) if up>-200 else -mp.e**up if up>-600 else mpf(0)
            rows.append((x,df,nstr(lo,25),nstr(up,25)))
for df in ["400000","3000000","200000000","20000000000"]:
    d=mpf(float(df)); a=d/2
    for z in ([-37,-10,-3,-0.5,0.5,3,10,37] if float(df)<1e9 else [-20,-5,5,20]):
        x=float(d+z*sqrt(2*d)); y=mpf(x)/2
        mp.dps=40
        if y<a: lo=series(a,y); up=log(1-mp.e**lo)
        else: up=frac(a,y); lo=log(1-mp.e**up)
        rows.append((x,df,nstr(lo,25),nstr(up,25)))
for df in ["3000000","200000000"]:
    for m in (0.5,0.69,0.71,1.29,1.31,2):
        a=mpf(float(df))/2; x=float(2*a*m); y=mpf(x)/2
        if y<a: lo=series(a,y); up=log(1-mp.e**lo) if lo>-200 else -mp.e**lo if lo>-700 else mpf(0)
        else: up=frac(a,y); lo=log(1-mp.e**up) if up>-200 else -mp.e**up if up>-700 else mpf(0)
        rows.append((x,df,nstr(lo,25),nstr(up,25)))
for r in rows: print("%r,%s,%s,%s"%r)
