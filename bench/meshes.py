#!/usr/bin/env python3
"""Volume and profile of meshes of 1 k, 100 k and 1 M triangles: time and peak memory, as a ratio to
admesh reading the same file in the same run.

Usage, with everything built by ./test and the package admesh installed: python3 bench/meshes.py
"""
import math, os, re, resource, struct, subprocess, sys, tempfile, time

ROOT = os.path.dirname(os.path.dirname(os.path.abspath(__file__)))
CLASSES = [os.path.join(ROOT, p) for p in ("app/target/test-classes", "app/target/classes", "core/target/classes")]
LIBRARIES = os.path.join(ROOT, "app/target/bench-lib")


def sphere(path, triangles):
    """A sphere of radius 20 mm as binary STL, about so many triangles."""
    n = max(8, int(math.sqrt(triangles / 2)))
    point = lambda i, j: (
        20 * math.sin(math.pi * i / n) * math.cos(2 * math.pi * (j % n) / n),
        20 * math.sin(math.pi * i / n) * math.sin(2 * math.pi * (j % n) / n),
        -20 * math.cos(math.pi * i / n),
    )
    rows = [[(0.0, 0.0, -20.0 if i == 0 else 20.0)] * (n + 1) if i in (0, n) else
            [point(i, j) for j in range(n + 1)] for i in range(n + 1)]
    pack = struct.Struct("<12fH").pack
    with open(path, "wb") as out:
        body = []
        for i in range(n):
            for j in range(n):
                a, b, c, d = rows[i][j], rows[i][j + 1], rows[i + 1][j + 1], rows[i + 1][j]
                if i > 0:
                    body.append(pack(0, 0, 0, *a, *b, *c, 0))
                if i < n - 1:
                    body.append(pack(0, 0, 0, *a, *c, *d, 0))
        out.write(b"sphere".ljust(80) + struct.pack("<I", len(body)) + b"".join(body))
        return len(body)


def peak(command):
    """Wall seconds, peak resident MB and output of one child."""
    start = time.time()
    process = subprocess.Popen(command, stdout=subprocess.PIPE, stderr=subprocess.STDOUT)
    said = process.stdout.read().decode()
    _, _, usage = os.wait4(process.pid, 0)
    return time.time() - start, usage.ru_maxrss / 1024, said


def main():
    java = os.path.join(os.environ.get("JAVA_HOME", ""), "bin/java") if os.environ.get("JAVA_HOME") else "java"
    classpath = os.pathsep.join(CLASSES + [os.path.join(LIBRARIES, "*")])
    if not os.path.isdir(LIBRARIES):
        subprocess.check_call(["mvn", "-q", "-B", "-ntp", "dependency:copy-dependencies", "-pl", "core",
                               "-DincludeScope=runtime", f"-DoutputDirectory={LIBRARIES}"], cwd=ROOT)
    print("| triangles | ours, inside | ours, process | peak | admesh | peak | time ratio, inside | memory ratio | volume, ours | admesh |")
    print("|---|---|---|---|---|---|---|---|---|---|")
    with tempfile.TemporaryDirectory() as folder:
        for wanted in (1_000, 100_000, 1_000_000):
            path = os.path.join(folder, "model.stl")
            count = sphere(path, wanted)
            rounds = "5" if wanted < 1_000_000 else "3"
            wall, ours_mb, said = peak([java, "-Xmx1500m", "-cp", classpath, "calmpour.app.MeshBench", path, rounds])
            inside, volume = (float(x) for x in said.split()[-2:])
            best, mb, text = min(peak(["admesh", path]) for _ in range(3))
            theirs = float(re.search(r"Volume\s*:\s*([0-9.eE+-]+)", text).group(1)) / 1000
            print(f"| {count:,} | {inside:.3f} s | {wall:.1f} s | {ours_mb:.0f} MB | {best:.3f} s | {mb:.0f} MB "
                  f"| {inside / best:.2f} | {ours_mb / mb:.1f} | {volume:.4f} | {theirs:.4f} |", flush=True)


if __name__ == "__main__":
    sys.exit(main())
