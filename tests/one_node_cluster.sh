#!/usr/bin/env bash
# SPDX-License-Identifier: GPL-3.0-or-later
# Starts a cluster of one node, runs a command with it, and stops it again. Ends with 77 and a word of why where no
# cluster can be started: Debian's munge and slurm-wlm are wanted, and root.
#   one_node_cluster.sh FOLDER COMMAND...
set -euo pipefail
skip() { echo "no cluster here: $1"; exit 77; }
folder=$1; shift
[ "$(id -u)" -eq 0 ] || skip "it needs root"
for program in munged slurmctld slurmd sbatch squeue; do command -v "$program" >/dev/null || skip "$program is not installed"; done
mkdir -p "$folder"/{state,spool,munge}
chmod 755 "$folder"
chmod 700 "$folder/munge"
host=$(hostname -s)
cpus=$(nproc)
head -c 128 /dev/urandom > "$folder/munge/key"
chmod 400 "$folder/munge/key"
cat > "$folder/slurm.conf" <<CONF
ClusterName=bench
SlurmctldHost=$host(127.0.0.1)
SlurmUser=root
SlurmdUser=root
AuthType=auth/munge
AuthInfo=socket=$folder/munge/socket
CryptoType=crypto/munge
SlurmctldPort=16817
SlurmdPort=16818
StateSaveLocation=$folder/state
SlurmdSpoolDir=$folder/spool
SlurmctldPidFile=$folder/slurmctld.pid
SlurmdPidFile=$folder/slurmd.pid
SlurmctldLogFile=$folder/slurmctld.log
SlurmdLogFile=$folder/slurmd.log
ProctrackType=proctrack/linuxproc
TaskPlugin=task/none
SchedulerType=sched/builtin
SelectType=select/cons_tres
SelectTypeParameters=CR_Core
ReturnToService=2
SwitchType=switch/none
MpiDefault=none
JobAcctGatherType=jobacct_gather/none
AccountingStorageType=accounting_storage/none
NodeName=$host NodeAddr=127.0.0.1 CPUs=$cpus State=UNKNOWN
PartitionName=all Nodes=$host Default=YES MaxTime=INFINITE State=UP
CONF
export SLURM_CONF=$folder/slurm.conf
stop() {
  for pid in slurmd slurmctld; do [ -s "$folder/$pid.pid" ] && kill "$(cat "$folder/$pid.pid")" 2>/dev/null || true; done
  [ -s "$folder/munge/pid" ] && kill "$(cat "$folder/munge/pid")" 2>/dev/null || true
}
trap stop EXIT
munged --key-file="$folder/munge/key" --socket="$folder/munge/socket" --pid-file="$folder/munge/pid" \
  --log-file="$folder/munge/log" --seed-file="$folder/munge/seed" --force >/dev/null 2>&1 || skip "munged does not start"
slurmctld -f "$SLURM_CONF" >/dev/null 2>&1 || skip "slurmctld does not start"
slurmd -f "$SLURM_CONF" >/dev/null 2>&1 || skip "slurmd does not start"
for _ in $(seq 60); do
  sinfo --noheader --format=%t 2>/dev/null | grep -q idle && ready=1 && break
  sleep 0.5
done
[ "${ready:-}" ] || skip "its node does not come up"
"$@"
