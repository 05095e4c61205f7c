# Fusilis with a MariaDB of its own, in one container: all that a school keeps is in /data.
FROM docker.io/library/node:20-bookworm-slim AS built
WORKDIR /srv/fusilis
COPY . .
RUN npm ci --no-audit --no-fund && npm run build

FROM docker.io/library/node:20-bookworm-slim
RUN apt-get update \
  && apt-get install -y --no-install-recommends mariadb-server mariadb-client \
  && rm -rf /var/lib/apt/lists/* /var/lib/mysql \
  && mkdir /data && chown node:node /data
WORKDIR /srv/fusilis
COPY --from=built --chown=node:node /srv/fusilis .
# FUSILIS_TLS=1 at start, where the school reaches it through TLS.
ENV FUSILIS_DATA=/data HOST=0.0.0.0 NODE_ENV=production
USER node
VOLUME /data
EXPOSE 3000
HEALTHCHECK --start-period=60s CMD node -e \
  "fetch('http://127.0.0.1:3000/api/health').then(a => process.exit(a.ok ? 0 : 1), () => process.exit(1))"
CMD ["node", "bin/start.mjs"]
