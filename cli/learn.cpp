// SPDX-License-Identifier: GPL-3.0-or-later
#include "cli/learn.hpp"

#include "core/base/error.hpp"
#include "core/base/files.hpp"
#include "core/document/project_file.hpp"
#include "core/results/build_project.hpp"

#include <fmt/format.h>
#include <unistd.h>
#include <nlohmann/json.hpp>

#include <array>
#include <chrono>
#include <cstdio>
#include <iostream>
#include <thread>

namespace trellis {

namespace {

using Json = nlohmann::json;
namespace files = std::filesystem;

void printTable(const Json& compared) {
  fmt::print("{:<22}", "");
  for (const Json& variant : compared["variants"]) fmt::print(" {:>16.16}", variant["name"].get<std::string>());
  fmt::print("\n");
  for (const FigureRow& row : figureRows()) {
    fmt::print("{:<22}", fmt::format("{} {}", row.label, row.unit));
    for (const Json& variant : compared["variants"])
      fmt::print(" {:>16.{}f}", variant["figures"][row.key].get<double>(), row.decimals);
    fmt::print("\n");
  }
  for (const Json& variant : compared["variants"]) {
    if (!variant.contains("differences")) continue;
    fmt::print("\n{}\n", variant["name"].get<std::string>());
    for (const Json& words : variant["differences"]) fmt::print("  {}\n", words.get<std::string>());
    for (const Json& place : variant["places"])
      fmt::print("  {:<40} {:.2f} → {:.2f} g\n", place["what"].get<std::string>(), place["before_g"].get<double>(),
                 place["now_g"].get<double>());
  }
}

std::string quoted(const std::string& text) {  // for a shell
  std::string out = "'";
  for (const char c : text) out += c == '\'' ? std::string("'\\''") : std::string(1, c);
  return out + "'";
}

// The jobs of a sweep in a folder: the project, what each does to it, and what came of it.
class Jobs {
 public:
  Jobs(files::path folder, const ProjectPtr& project, const SweepSpec& spec)
      : folder_(files::absolute(std::move(folder))), spec_(spec), all_(combinationsOf(*project, spec)) {}

  // Throws Error when the folder cannot be written.
  void write(const ProjectPtr& project) const {
    std::error_code failed;
    files::create_directories(folder_, failed);
    if (failed) throw Error(fmt::format("The folder {} could not be made: {}.", folder_.string(), failed.message()));
    const bool other = replaced(folder_ / "project.3mf", packProject(*withoutShelf(project)));
    for (std::size_t i = 0; i < all_.size(); ++i)
      if (replaced(named("ops", i), operationsOf(spec_, *project, i).dump() + "\n") || other)
        files::remove(named("result", i), failed);  // of another sweep
    writeFileAtomically(folder_ / "jobs.txt", lines());
  }

  std::string lines() const {
    std::string text;
    for (std::size_t i = 0; i < all_.size(); ++i) text += commandOf(i) + "\n";
    return text;
  }

  std::vector<std::size_t> missing() const {
    std::vector<std::size_t> missing;
    for (std::size_t i = 0; i < all_.size(); ++i)
      if (!files::exists(named("result", i))) missing.push_back(i);
    return missing;
  }

  std::vector<SweepResult> gathered() const {
    std::vector<SweepResult> results;
    for (std::size_t i = 0; i < all_.size(); ++i) results.push_back(resultOf(i));
    return results;
  }

  const files::path& folder() const { return folder_; }

 private:
  // Writes a file and says whether it was another before.
  static bool replaced(const files::path& file, const std::string& bytes) {
    if (files::exists(file) && readFile(file) == bytes) return false;
    writeFileAtomically(file, bytes);
    return true;
  }

  files::path named(const char* what, std::size_t i) const { return folder_ / fmt::format("{}-{}.json", what, i); }

  std::string commandOf(std::size_t i) const {
    const files::path program = files::read_symlink("/proc/self/exe");
    return fmt::format("{} build {} --ops {} --report {} > {} 2>&1", quoted(program.string()),
                       quoted((folder_ / "project.3mf").string()), quoted(named("ops", i).string()),
                       quoted(named("result", i).string()), quoted((folder_ / fmt::format("said-{}.txt", i)).string()));
  }

  SweepResult resultOf(std::size_t i) const {
    try {
      const Json report = Json::parse(readFile(named("result", i)), nullptr, false);
      return trellis::resultOf(all_[i], report.at("figures").get<std::map<std::string, double>>(), spec_.limits);
    } catch (const std::exception&) {
      return {all_[i].chosen, {}, SweepState::failed, whyNot(i)};
    }
  }

  std::string whyNot(std::size_t i) const {
    try {
      std::string said = readFile(folder_ / fmt::format("said-{}.txt", i));
      while (!said.empty() && said.back() == '\n') said.pop_back();
      if (!said.empty()) return said.substr(said.find_last_of('\n') + 1);
    } catch (const Error&) {
    }
    return "It came back with nothing: it was stopped, or never began.";
  }

  files::path folder_;
  const SweepSpec& spec_;
  std::vector<Combination> all_;
};

// What a program says; throws Error with it when it fails.
std::string said(const std::string& command) {
  const std::unique_ptr<FILE, int (*)(FILE*)> pipe(::popen((command + " 2>&1").c_str(), "r"), [](FILE*) { return 0; });
  if (!pipe) throw Error("No program could be started: " + command);
  std::string text;
  std::array<char, 4096> buffer{};
  while (const std::size_t count = std::fread(buffer.data(), 1, buffer.size(), pipe.get()))
    text.append(buffer.data(), count);
  if (::pclose(pipe.get()) != 0)
    throw Error(fmt::format("The cluster refused: {} said {}", command.substr(0, command.find(' ')),
                            text.empty() ? "nothing. Is Slurm installed here?" : text));
  return text;
}

std::string listed(const std::vector<std::size_t>& numbers) {
  std::string text;
  for (const std::size_t number : numbers) text += (text.empty() ? "" : ",") + std::to_string(number);
  return text;
}

// One array of all jobs that have no result yet; each takes its line of the list. Waits until the array is gone from
// the queue.
void runOnSlurm(const Jobs& jobs, int atOnce, const Progress& progress) {
  const std::vector<std::size_t> missing = jobs.missing();
  if (missing.empty()) return;
  const std::string script =
      "sh -c \"$(sed -n $((SLURM_ARRAY_TASK_ID+1))p " + quoted((jobs.folder() / "jobs.txt").string()) + ")\"";
  const std::string array = listed(missing) + (atOnce > 0 ? fmt::format("%{}", atOnce) : "");
  std::string id = said(fmt::format("sbatch --parsable --job-name=meek-trellis --output=/dev/null --array={} --wrap={}",
                                    array, quoted(script)));
  id = id.substr(0, id.find_first_of(";\n"));
  for (;;) {
    std::this_thread::sleep_for(std::chrono::milliseconds(500));
    const double left = static_cast<double>(jobs.missing().size());
    progress.report(1 - left / static_cast<double>(missing.size()), "building on the cluster");
    std::string queue;
    try {
      queue = said(fmt::format("squeue --noheader --jobs={}", id));
    } catch (const Error&) {  // it is forgotten soon after it ended
    }
    if (queue.find_first_not_of(" \n") == std::string::npos) return;
  }
}

void printSweep(const SweepSpec& spec, const std::vector<SweepResult>& results) {
  const std::vector<std::size_t> front = nonDominated(spec, results);
  const auto best = bestOf(spec, results);
  for (std::size_t i = 0; i < results.size(); ++i) {
    std::string chosen;
    for (const std::string& word : results[i].chosen) chosen += word + "  ";
    const char* mark = results[i].state == SweepState::dropped ? "dropped" : "";
    if (std::binary_search(front.begin(), front.end(), i)) mark = best == i ? "best" : "unbeaten";
    fmt::print("{:<9} {:<40}", mark, chosen);
    if (results[i].isBuilt())
      for (const SweepWant& want : spec.want) fmt::print(" {} {:g}", want.row, results[i].figures.at(want.row));
    else
      fmt::print(" {}", results[i].why);
    fmt::print("\n");
  }
}

void keepSweep(const ProjectPtr& project, const SweepSpec& spec, const std::vector<SweepResult>& results,
               const SweepPlaces& places) {
  if (!places.out.empty())
    writeFileAtomically(
        places.out, places.out.ends_with(".csv") ? sweepCsv(spec, results) : sweepJson(spec, results).dump(1) + "\n");
  if (!places.project.empty())
    writeFileAtomically(places.project, packProject(*withVariants(project, spec, nonDominated(spec, results))));
}

}  // namespace

void compareProjects(Store& store, const std::vector<std::pair<std::string, ProjectPtr>>& variants, bool json,
                     const Progress& progress) {
  std::vector<Compared> compared;
  for (const auto& [name, project] : variants)
    compared.push_back({name, project, buildProject(store, project, progress)});
  const Json table = comparisonOf(compared);
  if (json) return void(std::cout << table.dump(2, ' ', false, Json::error_handler_t::replace) << "\n");
  printTable(table);
}

std::size_t runSweep(Store& store, const ProjectPtr& project, const SweepSpec& spec, const SweepPlaces& places,
                     const Progress& progress) {
  const bool elsewhere = !places.jobsFile.empty() || !places.on.empty() || places.gather;
  if (elsewhere && places.folder.empty()) throw Error("Say in which folder the jobs may lie: --folder.");
  if (!places.on.empty() && places.on != "slurm")
    throw Error(
        fmt::format("A sweep cannot run on {}. It can run on slurm; --jobs-file is for other schedulers.", places.on));
  std::vector<SweepResult> results;
  if (elsewhere) {
    const Jobs jobs(places.folder, project, spec);
    if (!places.gather) jobs.write(project);
    if (!places.jobsFile.empty()) {
      writeFileAtomically(places.jobsFile, jobs.lines());
      fmt::print("{} jobs in {}. Run them, then gather them with --gather.\n", combinationsOf(*project, spec).size(),
                 places.jobsFile);
      return 0;
    }
    if (!places.on.empty()) runOnSlurm(jobs, places.atOnce, progress);
    results = jobs.gathered();
  } else {
    results = sweep(store, project, spec, progress);
  }
  keepSweep(project, spec, results, places);
  if (places.asJson)
    std::cout << sweepJson(spec, results).dump(2) << "\n";
  else
    printSweep(spec, results);
  return static_cast<std::size_t>(std::count_if(results.begin(), results.end(),
                                                [](const SweepResult& r) { return r.state == SweepState::failed; }));
}

}  // namespace trellis
